export { default as PersonAsks } from './PersonAsks.vue'
export { default as ErasuresPanel } from './ErasuresPanel.vue'
