export { default as TodayPage } from './TodayPage.vue'
