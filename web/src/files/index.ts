export { default as DateOrder } from './DateOrder.vue'
export { default as OpenDates } from './OpenDates.vue'
export { default as ReadAs } from './ReadAs.vue'
