import { createRouter, createWebHistory } from 'vue-router'
import { BenchPage, CriteriaPage } from './criteria'
import { ListPage, ListsPage } from './lists'
import { DeskPage } from './outreach'
import { PeoplePage } from './people'
import { has, homeOf } from './places'
import { ComingInPage } from './prompts'
import { RecordsPage, SamePersonPage, StatePage } from './records'
import { PracticePage } from './practice'
import { SideBySidePage } from './sidebyside'
import { useSession, whereToGoOn } from './session'
import { TodayPage } from './today'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    // Where it leads depends on who is signed in; see homeOf.
    { path: '/', component: { render: () => null } },
    { path: '/criteria', component: CriteriaPage },
    { path: '/criteria/:id', component: BenchPage, props: true },
    { path: '/lists', component: ListsPage },
    { path: '/lists/:id', component: DeskPage, props: true },
    { path: '/lists/:id/on-a-day', component: ListPage, props: true },
    {
      path: '/people',
      component: PeoplePage,
      props: (to) => ({ id: to.params.id }),
      // The page shows the person beside those who were found.
      children: [{ path: ':id', component: { render: () => null } }],
    },
    { path: '/records', component: RecordsPage },
    { path: '/records/compare', component: SideBySidePage },
    { path: '/records/same-person', component: SamePersonPage },
    { path: '/records/state', component: StatePage },
    { path: '/today', component: TodayPage },
    { path: '/today/coming-in', component: ComingInPage },
    { path: '/practice', component: PracticePage },
    { path: '/:other(.*)*', redirect: '/' },
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
  return (to.path === '/' || !has(session.roles, to.path)) && to.path !== home ? home : true
})
