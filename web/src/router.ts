import { createRouter, createWebHistory } from 'vue-router'
import { afterFailure, fetchAhead, missing, pages } from './pages'
import { homeOf, mayGoTo } from './places'
import { useSession, whereToGoOn } from './session'
import NoSuchPage from './shell/NoSuchPage.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    // Where it leads depends on who is signed in; see homeOf.
    { path: '/', component: { render: () => null } },
    { path: '/criteria', component: pages.criteria },
    { path: '/criteria/:id', component: pages.bench, props: true },
    { path: '/lists', component: pages.lists },
    { path: '/lists/:id', component: pages.desk, props: true },
    { path: '/lists/:id/on-a-day', component: pages.list, props: true },
    {
      path: '/people',
      component: pages.people,
      props: (to) => ({ id: to.params.id }),
      // The page shows the person beside those who were found.
      children: [{ path: ':id', component: { render: () => null } }],
    },
    { path: '/records', component: pages.records },
    { path: '/records/compare', component: pages.sideBySide },
    { path: '/records/same-person', component: pages.samePerson },
    { path: '/records/state', component: pages.state },
    { path: '/today', component: pages.today },
    { path: '/today/coming-in', component: pages.comingIn },
    { path: '/practice/:part?', component: pages.practice, props: true },
    // What pages are made of; nothing that is installed.
    ...(import.meta.env.DEV
      ? [{ path: '/controls', component: () => import('./controls/ControlsPage.vue') }]
      : []),
    { path: '/:other(.*)*', component: NoSuchPage },
  ],
})

router.beforeEach(async (to) => {
  const session = useSession()
  await session.load()
  if (!session.signedIn) {
    return true
  }
  const goOn = to.path === '/' ? whereToGoOn() : ''
  if (goOn !== '') {
    return goOn
  }
  const home = homeOf(session.roles)
  return (to.path === '/' || !mayGoTo(to.path, session.roles)) && to.path !== home ? home : true
})

router.onError((error, to) => {
  // What a browser says where a page's file is not to be had, each in its words.
  if (/dynamically imported module|importing a module|preload/i.test(String(error))) {
    void afterFailure(to.fullPath)
  }
})

router.afterEach(() => {
  missing.value = false
})

void router.isReady().then(() => {
  const later = window.requestIdleCallback ?? ((work: () => void) => setTimeout(work, 1000))
  later(() => void fetchAhead())
})
