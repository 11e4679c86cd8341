export { default as DeskPage } from './DeskPage.vue'
export { stepWords } from './words'
