export { firstFree, slug } from './document'
export { RosterList, rostersQuery } from './rosters'
export type { TermSet } from './document'
export {
  gatheredIn,
  sharedQuery as sharedTermSets,
  TermSetDialog,
  TermSetList,
  type Member as GatheredTerm,
} from './termsets'
