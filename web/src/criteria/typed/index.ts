export { termSetWith, withTermSets } from './offers'
export { default as SetTextDialog } from './SetTextDialog.vue'
export { default as TypedLine } from './TypedLine.vue'
