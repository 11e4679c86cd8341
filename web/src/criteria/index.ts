export { default as BenchPage } from './BenchPage.vue'
export { default as CriteriaPage } from './CriteriaPage.vue'
export { TermSetList } from './termsets'
