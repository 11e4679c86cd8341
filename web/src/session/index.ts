export { useSession } from './session'
export { default as SignInPage } from './SignInPage.vue'
