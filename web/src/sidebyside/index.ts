export { default as SideBySidePage } from './SideBySidePage.vue'
