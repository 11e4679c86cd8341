export { useSession, type Role } from './session'
export { default as SignInPage } from './SignInPage.vue'
