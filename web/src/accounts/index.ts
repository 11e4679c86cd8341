export { useColleagues, type Colleague } from './colleagues'
export { default as AccountsPanel } from './AccountsPanel.vue'
export { default as HandOver } from './HandOver.vue'
