export { useSession, type Role } from './session'
export { default as OwnAccountDialog } from './OwnAccountDialog.vue'
export { SHORTEST_PASSWORD } from './passwords'
export { default as SignInPage } from './SignInPage.vue'
