import { send, sentenceOf, whenSignedOut, type Schemas } from '@/api/client'
import { keepZone } from '@/days'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { has, type Duty } from './duties'
import { answerWithPasskey } from './passkeys'

/** Who is signed in, and what the practice's today is. */
export const useSession = defineStore('session', () => {
  const current = shallowRef<Schemas['Session']>()
  const problem = ref('')
  let loading: Promise<void> | undefined

  async function reload(): Promise<void> {
    try {
      current.value = await send<Schemas['Session']>('/api/session')
      keepZone(current.value.zone)
      problem.value = ''
    } catch (failure) {
      problem.value = sentenceOf(failure)
    }
  }

  /** Loads the session the first time it is asked for. */
  function load(): Promise<void> {
    loading ??= reload()
    return loading
  }

  /** @param code of a second factor; empty where none was asked for yet */
  async function signIn(name: string, password: string, code: string): Promise<void> {
    await send('/api/sign-in', {
      method: 'POST',
      body: new URLSearchParams({ username: name, password, code }),
    })
    await reload()
  }

  async function signInWithPasskey(): Promise<void> {
    await answerWithPasskey()
    await reload()
  }

  async function signOut(): Promise<void> {
    const goOn = await send<{ next: string } | undefined>('/api/sign-out', { method: 'POST' })
    await reload()
    if (goOn) {
      // The practice's sign-in service ends what began there, and sends the browser back.
      location.assign(goOn.next)
    }
  }

  whenSignedOut(() => {
    if (current.value?.signedIn) {
      current.value = { ...current.value, signedIn: undefined }
    }
  })

  const roles = computed(() => current.value?.signedIn?.roles ?? [])

  return {
    current,
    problem,
    known: computed(() => current.value !== undefined),
    signedIn: computed(() => current.value?.signedIn),
    roles,
    /** Whether it is their duty. */
    has: (duty: Duty) => has(roles.value, duty),
    /** Whether this is the demo: everybody in it is invented. */
    isDemo: computed(() => (current.value?.demoAccounts ?? []).length > 0),
    today: computed(() => current.value?.today ?? ''),
    load,
    reload,
    signIn,
    signInWithPasskey,
    signOut,
  }
})
