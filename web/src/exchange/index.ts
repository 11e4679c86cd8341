export { default as CalendarAddress } from './CalendarAddress.vue'
export { default as OutDialog } from './OutDialog.vue'
export { default as LetterheadPanel } from './LetterheadPanel.vue'
