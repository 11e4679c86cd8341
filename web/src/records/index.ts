export { default as RecordsHead } from './RecordsHead.vue'
