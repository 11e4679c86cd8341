export { default as DeskPage } from './DeskPage.vue'
export { default as OutcomesPanel } from './OutcomesPanel.vue'
export { stepWords } from './words'
