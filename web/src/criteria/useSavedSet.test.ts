import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { NEW } from './keptDraft'
import { useSavedSet } from './useSavedSet'

type Answer = { status: number; body: object }

const asked: { method: string; path: string; ifMatch: string | null; body: unknown }[] = []
let answers: Answer[]

beforeEach(() => {
  localStorage.clear()
  asked.length = 0
  vi.stubGlobal('fetch', (path: string, options: RequestInit = {}) => {
    asked.push({
      method: options.method ?? 'GET',
      path,
      ifMatch: new Headers(options.headers).get('If-Match'),
      body: options.body ? (JSON.parse(options.body as string) as unknown) : undefined,
    })
    const { status, body } = answers.shift() ?? { status: 500, body: {} }
    return Promise.resolve(new Response(JSON.stringify(body), { status }))
  })
})
afterEach(() => {
  vi.unstubAllGlobals()
})

function state(revision: number, version: number, name = 'Lithium'): Answer {
  const document = { format: 'dipstick-criteria/1', id: 'lithium', name, include: [] }
  const draft = version === 0
  const body = { revision, version, draft, retired: false, changedAt: '', changedBy: '', document }
  return { status: 200, body }
}

async function bench(start: string) {
  const id = ref(start)
  let set: ReturnType<typeof useSavedSet> | undefined
  const page = defineComponent(() => {
    set = useSavedSet(() => id.value, 'orla')
    return () => h('div')
  })
  mount(page, { global: { plugins: [VueQueryPlugin] } })
  await flushPromises()
  if (!set) {
    throw new Error('The page was not set up')
  }
  return { id, set }
}

it('saves a new set as a draft and publishes it, each from the revision before', async () => {
  const { id, set } = await bench(NEW)
  set.history.change({ ...set.document.value, name: 'Lithium' })
  answers = [state(1, 0), state(2, 1)]
  expect(await set.publish('why')).toBe(true)
  expect(asked.map((one) => [one.method, one.path, one.ifMatch])).toEqual([
    ['PUT', '/api/criteria/lithium', null],
    ['POST', '/api/criteria/lithium/publish', '"1"'],
  ])
  expect(set.unsaved.value).toBe(false)
  // Its address is its own now; it is not read again, which would take the focus away.
  id.value = 'lithium'
  await flushPromises()
  expect(asked).toHaveLength(2)
})

it('does not save a set without a name', async () => {
  const { set } = await bench(NEW)
  expect(await set.save()).toBe(false)
  expect(set.problem.value).toContain('Give the set a name first')
  expect(asked).toEqual([])
})

it('keeps what is here when somebody else saved meanwhile, and what is not saved through a reload', async () => {
  answers = [state(3, 1)]
  const { set } = await bench('lithium')
  set.history.change({ ...set.document.value, name: 'Mine' })
  answers = [{ status: 412, body: { type: 'urn:dipstick:changed-meanwhile', detail: 'Changed.' } }]
  expect(await set.save()).toBe(false)
  expect(set.conflict.value).toBe(true)
  expect(set.document.value.name).toBe('Mine')

  answers = [state(4, 1, 'Theirs')]
  const again = await bench('lithium')
  expect(again.set.document.value.name).toBe('Mine')
  expect(again.set.broughtBack.value).not.toBe('')
  answers = [state(4, 1, 'Theirs')]
  await again.set.save()
  expect(asked.at(-1)?.ifMatch).toBe('"3"')
})

it('follows a term set that was changed for all sets', async () => {
  answers = [state(3, 1)]
  const { set } = await bench('lithium')
  const termSet = {
    id: 'li',
    name: 'lithium',
    members: [{ code: 'LI' }],
    leftOut: [],
    version: 2,
    changedAt: '',
    changedBy: '',
    usedBy: [],
  }
  set.takeTermSet({ termSet, sets: [{ id: 'lithium', before: 3, after: 4, version: 2 }] })
  expect(set.document.value.termSets).toEqual([
    { id: 'li', name: 'lithium', members: [{ code: 'LI' }] },
  ])
  expect(set.unsaved.value).toBe(false)
  set.history.change({ ...set.document.value, name: 'Mine' })
  answers = [state(5, 2)]
  await set.save()
  expect(asked.at(-1)?.ifMatch).toBe('"4"')
})
