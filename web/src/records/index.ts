export { default as RecordsPage } from './RecordsPage.vue'
