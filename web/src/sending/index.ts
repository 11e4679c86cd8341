export { default as SendingsDialog } from './SendingsDialog.vue'
