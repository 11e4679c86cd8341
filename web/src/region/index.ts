export { default as RegionPanel } from './RegionPanel.vue'
