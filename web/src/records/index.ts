export { default as RecordsHead } from './RecordsHead.vue'
export { default as RecordsPage } from './RecordsPage.vue'
export { default as SamePersonPage } from './SamePersonPage.vue'
export { default as StatePage } from './StatePage.vue'
