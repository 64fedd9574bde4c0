export { default as AccountPage } from './AccountPage.vue'
export { default as SignInPage } from './SignInPage.vue'
export { default as SignUpPage } from './SignUpPage.vue'
export { signOut, teacher, whoAmI } from './teacher'
