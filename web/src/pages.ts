import { ref } from 'vue'

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

/** Whether the page that was last gone to could not be fetched. */
export const missing = ref(false)

/**
 * What is done where a page cannot be fetched. Mostly it is one of an older version than the server's, which the whole page
 * loaded anew puts right; but not where that was tried a moment ago, nor where the server is gone: then it is said.
 */
export async function afterFailure(
  path: string,
  go: (path: string) => void = (to) => window.location.assign(to),
  now = Date.now(),
) {
  const tried = Number(sessionStorage.getItem(TRIED) ?? 0)
  const reachable = await fetch(path, { method: 'HEAD' }).then(
    (answer) => answer.ok,
    () => false,
  )
  if (reachable && now - tried >= AGAIN_AFTER) {
    sessionStorage.setItem(TRIED, String(now))
    go(path)
  } else {
    missing.value = true
  }
}
