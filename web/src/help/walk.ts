import { mayGoTo } from '@/places'
import { has, useSession, type Role } from '@/session'
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

/** A step of the walk: where one stands, and what to look at or try there. */
export interface WalkStep {
  readonly to: string
  readonly words: string
}

const LIST = 'hearing-check-due'

/** For who defines lists. */
const OF_COORDINATORS: readonly WalkStep[] = [
  {
    to: '/lists',
    words:
      'Each list is a stick: the fluid is how many have what they should have, the number beside it who lacks it. Open the names behind any number by clicking it.',
  },
  {
    to: `/criteria/${LIST}`,
    words:
      'This is where a list comes from: sentences, with the level after each. Click an underlined word, such as “12 months”, change it, and see the stick and the list follow at once. Nothing is published by that.',
  },
  {
    to: `/criteria/${LIST}?who=to-check`,
    words:
      'At the right are people whom the records say too little of. They are a pile of their own and are never called by mistake. Open one to see what is missing.',
  },
  {
    to: `/lists/${LIST}`,
    words:
      'The desk of the same list. Take the next person (+), read why they are on it, and log what came of a call with a digit. What comes next is planned by itself; - takes the last thing back.',
  },
  {
    to: '/records',
    words:
      'Records come in as files of any system. Save one of the samples, choose it, and look at what it would do before you take it. Any file can be taken back.',
  },
]

/** For who works them. */
const OF_CALLERS: readonly WalkStep[] = [
  {
    to: '/today',
    words: 'Begin here each morning: the line at the top says what to do first.',
  },
  {
    to: `/lists/${LIST}`,
    words:
      'The desk. Take the next person with the button below the list, or +: from then on they are in your hand, and colleagues see that.',
  },
  {
    to: `/lists/${LIST}`,
    words:
      'At the right: how to reach them, and why they are on the list. Log what came of the call with its button or digit; what comes next is planned by itself. - takes the last thing back.',
  },
  {
    to: `/lists/${LIST}?queue=check`,
    words:
      'To check is a pile of its own: the records do not say whether they belong on the list. They are looked up, not called.',
  },
  {
    to: `/lists/${LIST}?queue=held`,
    words:
      'Held back: whom not to call today, each with the reason. They come back by themselves when it is over.',
  },
]

/** The steps for somebody with these roles. */
export function stepsFor(roles: readonly Role[]): readonly WalkStep[] {
  if (has(roles, 'COORDINATE')) {
    return OF_COORDINATORS
  }
  return has(roles, 'WORK_LISTS') ? OF_CALLERS.filter((step) => mayGoTo(step.to, roles)) : []
}

/** A walk through the demo in five steps, for who is new to it. It is offered until it was taken or put away. */
export const useWalk = defineStore('walk', () => {
  const session = useSession()
  const router = useRouter()
  const at = ref<number>()
  const known = useLocalStorage(
    () => `dipstick walk known to ${session.signedIn?.name ?? ''}`,
    false,
  )
  const steps = computed(() => (session.isDemo ? stepsFor(session.roles) : []))
  const step = computed(() => (at.value === undefined ? undefined : steps.value[at.value]))
  const offered = computed(() => steps.value.length > 0 && !known.value && at.value === undefined)

  function goTo(number: number) {
    const next = steps.value[number]
    if (next) {
      at.value = number
      void router.push(next.to)
    } else {
      end()
    }
  }

  function begin() {
    goTo(0)
  }

  function end() {
    at.value = undefined
    known.value = true
  }

  return { at, begin, end, goTo, offered, step, steps }
})
