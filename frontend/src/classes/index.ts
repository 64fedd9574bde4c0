export { default as BringListPage } from './BringListPage.vue'
export { default as ClassesPage } from './ClassesPage.vue'
export { default as ClassPage } from './ClassPage.vue'
