export { default as RosterDialog } from './RosterDialog.vue'
export { default as RosterList } from './RosterList.vue'
export * from './rosters'
export { rostersQuery } from './shared'
