/**
 * The pages, each in a file of its own that a browser fetches when it is first gone to, or before, when there is time: in
 * the order in which they are mostly gone to.
 */
export const pages = {
  today: () => import('./today/TodayPage.vue'),
  lists: () => import('./lists/ListsPage.vue'),
  desk: () => import('./outreach/DeskPage.vue'),
  people: () => import('./people/PeoplePage.vue'),
  criteria: () => import('./criteria/CriteriaPage.vue'),
  bench: () => import('./criteria/BenchPage.vue'),
  comingIn: () => import('./prompts/ComingInPage.vue'),
  list: () => import('./lists/ListPage.vue'),
  records: () => import('./records/RecordsPage.vue'),
  state: () => import('./records/StatePage.vue'),
  samePerson: () => import('./records/SamePersonPage.vue'),
  sideBySide: () => import('./sidebyside/SideBySidePage.vue'),
  practice: () => import('./practice/PracticePage.vue'),
}

/** Fetches one page after the other; what fails is fetched again by whoever goes there. */
export async function fetchAhead(loads: (() => Promise<unknown>)[] = Object.values(pages)) {
  for (const load of loads) {
    await load().catch(() => undefined)
  }
}

const TRIED = 'dipstick-page-tried'
const AGAIN_AFTER = 30_000

/**
 * A page that cannot be fetched is mostly one of an older version than the server's, which the whole page loaded anew puts
 * right. Where it was loaded anew a moment ago, that did not help.
 *
 * @returns whether it is loaded anew
 */
export function loadAnew(
  path: string,
  go: (path: string) => void = (to) => window.location.assign(to),
  now = Date.now(),
) {
  const tried = Number(sessionStorage.getItem(TRIED) ?? 0)
  if (now - tried < AGAIN_AFTER) {
    return false
  }
  sessionStorage.setItem(TRIED, String(now))
  go(path)
  return true
}
