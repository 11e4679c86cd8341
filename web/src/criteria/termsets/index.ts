export type { Member } from './members'
export { gatheredIn, namedIn, replaceTermSet, sharedQuery, withShared } from './shared'
export { default as TermSetDialog } from './TermSetDialog.vue'
export { default as TermSetList } from './TermSetList.vue'
