export { default as Stick } from './Stick.vue'
export { count, percent } from './stick'
