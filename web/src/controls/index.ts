export { default as Dialog } from './Dialog'
export { default as FormDialog } from './FormDialog.vue'
export { default as WholeNumber } from './WholeNumber.vue'
export { default as OfferedText } from './OfferedText.vue'
