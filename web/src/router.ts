import { createRouter, createWebHistory } from 'vue-router'
import { BenchPage, CriteriaPage } from './criteria'
import { ListPage, ListsPage } from './lists'
import { PeoplePage } from './people'
import { RecordsPage } from './records'
import { useSession } from './session'

declare module 'vue-router' {
  interface RouteMeta {
    /** Whether only a coordinator has this place. */
    coordinator?: boolean
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    // Where it leads depends on who is signed in; see homeOf.
    { path: '/', component: { render: () => null } },
    { path: '/criteria', component: CriteriaPage, meta: { coordinator: true } },
    { path: '/criteria/:id', component: BenchPage, props: true, meta: { coordinator: true } },
    { path: '/lists', component: ListsPage },
    { path: '/lists/:id', component: ListPage, props: true },
    {
      path: '/people',
      component: PeoplePage,
      props: (to) => ({ id: to.params.id }),
      meta: { coordinator: true },
      // The page shows the person beside those who were found.
      children: [{ path: ':id', component: { render: () => null } }],
    },
    { path: '/records', component: RecordsPage, meta: { coordinator: true } },
    { path: '/:other(.*)*', redirect: '/' },
  ],
})

router.beforeEach(async (to) => {
  const session = useSession()
  await session.load()
  if (!session.signedIn) {
    return true
  }
  const closed = to.meta.coordinator && !session.isCoordinator
  return closed || to.path === '/' ? homeOf(session.isCoordinator) : true
})

/** The place where somebody begins. */
export function homeOf(isCoordinator: boolean): string {
  return isCoordinator ? '/criteria' : '/lists'
}
