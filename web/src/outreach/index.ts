export { default as OutcomesPanel } from './OutcomesPanel.vue'
export { default as WorkloadPanel } from './WorkloadPanel.vue'
export { stepWords } from './words'
