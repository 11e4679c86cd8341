import { VueQueryPlugin, QueryClient } from '@tanstack/vue-query'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import { vi } from 'vitest'
import type { Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import PlainChart from './PlainChart'
import PlainDialog from './PlainDialog'

/** An answer that comes when it is told to. */
export function later<T>() {
  let resolve: (value: T) => void = () => undefined
  let reject: (failure: Error) => void = () => undefined
  const promise = new Promise<T>((good, bad) => {
    resolve = good
    reject = bad
  })
  return { promise, resolve, reject }
}

/** A request that was made. */
export interface Asked {
  method: string
  path: string
  ifMatch: string | null
  body: unknown
}

type Answer = unknown

/** An answer that is refused, as a problem detail (RFC 9457). */
export class Refusal {
  readonly status: number
  readonly detail: string
  readonly type: string

  constructor(status: number, detail: string, type = 'refused') {
    this.status = status
    this.detail = detail
    this.type = type
  }
}

/**
 * Answers requests as the server would: by method and path without what follows a question mark. What is not foreseen is
 * refused, so that a test that forgets an address fails at it.
 *
 * @returns what was asked, in order
 */
export function serving(answers: Record<string, Answer | ((asked: Asked) => Answer)>): Asked[] {
  const all: Asked[] = []
  vi.stubGlobal('fetch', (path: string, options: RequestInit = {}) => {
    const asked: Asked = {
      method: options.method ?? 'GET',
      path,
      ifMatch: new Headers(options.headers).get('If-Match'),
      body: typeof options.body === 'string' ? (JSON.parse(options.body) as unknown) : options.body,
    }
    all.push(asked)
    const known = answers[`${asked.method} ${path.split('?')[0] ?? ''}`]
    const answer = typeof known === 'function' ? (known as (asked: Asked) => Answer)(asked) : known
    if (answer === undefined || answer instanceof Refusal) {
      const { status, detail, type } = answer ?? new Refusal(404, `Nothing answers ${path}`)
      const body = JSON.stringify({ type: `urn:dipstick:${type}`, status, detail })
      return Promise.resolve(new Response(body, { status }))
    }
    return Promise.resolve(new Response(JSON.stringify(answer)))
  })
  return all
}

/** What was shown last; it would go on listening to keys. */
let before: VueWrapper | undefined

/** Takes it away, before what it stood in. */
export function clear(): void {
  before?.unmount()
  before = undefined
  document.body.innerHTML = ''
}

/** Shows a component as the application would, with who is signed in, the practice's today, and the address. */
export async function shown(
  component: Component,
  props: Record<string, unknown>,
  who: { name: string; roles: string[] } = { name: 'orla', roles: ['COORDINATOR'] },
  { at = '/', demo = false } = {},
): Promise<VueWrapper> {
  clear()
  // Which no page without a screen has.
  window.matchMedia = ((query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  })) as unknown as typeof window.matchMedia
  Object.defineProperty(document, 'fonts', {
    configurable: true,
    value: { ready: Promise.resolve() },
  })
  // A veil that another test left down is up.
  sessionStorage.clear()
  const pinia = createPinia()
  setActivePinia(pinia)
  const { useSession } = await import('@/session')
  const session = useSession()
  session.current = {
    signedIn: {
      name: who.name,
      displayName: who.name,
      roles: who.roles as never,
      lacksSecondFactor: false,
      vouchedFor: false,
    },
    practice: 'Otterbrook',
    today: '2026-11-26',
    zone: 'Europe/London',
    firstAccountNeeded: false,
    demoAccounts: demo ? [{ name: 'orla', password: 'demo', who: 'Orla Fenwick' }] : [],
  }
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { template: '<div />' } }],
  })
  await router.push(at)
  const queryClient = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  const wrapper = mount(component, {
    props,
    attachTo: document.body,
    global: {
      plugins: [pinia, router, PrimeVue, ToastService, [VueQueryPlugin, { queryClient }]],
      stubs: { Dialog: PlainDialog, Chart: PlainChart },
    },
  })
  before = wrapper
  await flushPromises()
  return wrapper
}

/** The button of these words. */
export function button(wrapper: VueWrapper, words: string) {
  const found = wrapper.findAll('button').find((one) => one.text() === words)
  if (!found) {
    const there = wrapper.findAll('button').map((one) => one.text())
    throw new Error(`There is no button “${words}” among ${there.join(', ')}`)
  }
  return found
}
