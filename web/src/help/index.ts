export { default as HelpDialog } from './HelpDialog.vue'
export { default as WalkOffer } from './WalkOffer.vue'
export { default as WalkStrip } from './WalkStrip.vue'
export { meaningOf, QUEUE_MEANINGS } from './meanings'
