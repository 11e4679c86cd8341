export { default as AuditPanel } from './AuditPanel.vue'
