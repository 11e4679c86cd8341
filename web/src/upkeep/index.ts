export { default as BackupPanel } from './BackupPanel.vue'
