export { default as FormDialog } from './FormDialog.vue'
