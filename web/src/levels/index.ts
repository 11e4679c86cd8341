export { default as LevelsPanel } from './LevelsPanel.vue'
