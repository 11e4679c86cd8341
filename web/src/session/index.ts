export { has, type Duty, type Role } from './duties'
export { useSession } from './session'
export { default as OwnAccountDialog } from './OwnAccountDialog.vue'

export { default as SignInPage } from './SignInPage.vue'
export { whereToGoOn } from './signInService'
export { default as SecondFactorPage } from './SecondFactorPage.vue'
