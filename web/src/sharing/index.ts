export { default as SharingDialog } from './SharingDialog.vue'
