export { default as Together } from './Together.vue'
