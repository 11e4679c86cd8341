import { fromIso } from '@/days'
import { computed, shallowReactive, type WritableComputedRef } from 'vue'
import { useRoute, useRouter, type Router } from 'vue-router'

/** What is to be said in the address of a page, until it is said. */
interface Waiting {
  words: Map<string, string>
  /** Whether it is being said. */
  going: boolean
  /** Whether somebody is on their way to another page. */
  leaving: boolean
}

const waitingAt = new WeakMap<Router, Waiting>()

function waitingOf(router: Router): Waiting {
  const known = waitingAt.get(router)
  if (known) {
    return known
  }
  const waiting: Waiting = { words: shallowReactive(new Map()), going: false, leaving: false }
  waitingAt.set(router, waiting)
  // Whoever goes on to another page is not held back by what this one still had to say.
  router.beforeEach((to, from) => {
    waiting.leaving = to.path !== from.path
  })
  router.afterEach(() => {
    if (waiting.leaving) {
      waiting.words.clear()
      waiting.leaving = false
    }
  })
  return waiting
}

/** A day that is dragged along changes many times a second, and a browser has its address changed only so often. */
const PAUSE_MS = 150

function pause(): Promise<void> {
  return new Promise((resume) => setTimeout(resume, PAUSE_MS))
}

/** Says all at once what several parts of a page want said. */
async function say(router: Router, waiting: Waiting): Promise<void> {
  if (waiting.going) {
    return
  }
  waiting.going = true
  try {
    await pause()
    while (waiting.words.size > 0 && !waiting.leaving) {
      const words = new Map(waiting.words)
      const here = router.currentRoute.value
      const query = { ...here.query, ...Object.fromEntries(words) }
      const said = Object.entries(query).filter(([, word]) => word !== '')
      await router.replace({ path: here.path, query: Object.fromEntries(said), hash: here.hash })
      for (const [name, word] of words) {
        if (waiting.words.get(name) === word) {
          waiting.words.delete(name)
        }
      }
      await pause()
    }
  } finally {
    waiting.going = false
  }
}

/**
 * A word that the address says after its question mark, such as which pile is shown: reading the page anew, going back and a
 * link that is sent to a colleague lead to the same. It is another at once; the address follows.
 *
 * @param usual what it is where the address says nothing
 */
export function useInAddress(
  name: string,
  usual: () => string = () => '',
): WritableComputedRef<string> {
  const route = useRoute()
  const router = useRouter()
  const waiting = waitingOf(router)
  return computed({
    get: () => {
      const word = waiting.words.get(name) ?? route.query[name]
      return typeof word === 'string' && word !== '' ? word : usual()
    },
    set: (word) => {
      waiting.words.set(name, word === usual() ? '' : word)
      void say(router, waiting)
    },
  })
}

const ISO = /^\d{4}-\d{2}-\d{2}$/

/** The same of a day; what is no day is the usual one. */
export function useDayInAddress(name: string, usual: () => string): WritableComputedRef<string> {
  const word = useInAddress(name, usual)
  return computed({
    get: () => (ISO.test(word.value) && fromIso(word.value) ? word.value : usual()),
    set: (day) => {
      word.value = day
    },
  })
}

/** Whether a dialog that shows something, rather than changes it, is open: it can be sent to a colleague as it is. */
export function useShownInAddress(dialog: string): WritableComputedRef<boolean> {
  const word = useInAddress('shown')
  return computed({
    get: () => word.value === dialog,
    set: (shown) => {
      word.value = shown ? dialog : ''
    },
  })
}

/** The same of the number of something; nothing where the address names none. */
export function useNumberInAddress(name: string): WritableComputedRef<number | undefined> {
  const word = useInAddress(name)
  return computed({
    get: () => (/^\d{1,15}$/.test(word.value) ? Number(word.value) : undefined),
    set: (number) => {
      word.value = number === undefined ? '' : String(number)
    },
  })
}
