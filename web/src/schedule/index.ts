export { default as ScheduleChoice } from './ScheduleChoice.vue'
export { whenWords, type When } from './when'
