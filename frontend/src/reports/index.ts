export { default as QuestionPage } from './QuestionPage.vue'
export { default as SessionPage } from './SessionPage.vue'
export { default as SessionsPage } from './SessionsPage.vue'
export { default as StudentPage } from './StudentPage.vue'
