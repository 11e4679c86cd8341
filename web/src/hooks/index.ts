export { default as RecordSystemsPanel } from './RecordSystemsPanel.vue'
