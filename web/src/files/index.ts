export { default as DateOrder } from './DateOrder.vue'
export { default as OpenDates } from './OpenDates.vue'
