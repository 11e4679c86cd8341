import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { NEW } from './keptDraft'
import { useSavedSet } from './useSavedSet'

type Answer = { status: number; body: object }

const asked: { method: string; path: string; ifMatch: string | null; body: unknown }[] = []
let answers: Answer[]
/** Answers that are not given yet, where they are held back. */
let held: (() => void)[] | undefined

beforeEach(() => {
  localStorage.clear()
  asked.length = 0
  held = undefined
  vi.stubGlobal('fetch', (path: string, options: RequestInit = {}) => {
    asked.push({
      method: options.method ?? 'GET',
      path,
      ifMatch: new Headers(options.headers).get('If-Match'),
      body: options.body ? (JSON.parse(options.body as string) as unknown) : undefined,
    })
    const { status, body } = answers.shift() ?? { status: 500, body: {} }
    const response = new Response(JSON.stringify(body), { status })
    return held
      ? new Promise((resolve) => held?.push(() => resolve(response)))
      : Promise.resolve(response)
  })
})
afterEach(() => {
  vi.unstubAllGlobals()
})

function state(revision: number, version: number, name = 'Lithium', id = 'lithium'): Answer {
  const document = { format: 'dipstick-criteria/1', id, name, include: [] }
  const draft = version === 0
  const body = { revision, version, draft, retired: false, changedAt: '', changedBy: '', document }
  return { status: 200, body }
}

async function bench(start: string) {
  const elsewhere: string[] = []
  const id = ref(start)
  let set: ReturnType<typeof useSavedSet> | undefined
  const page = defineComponent(() => {
    set = useSavedSet(
      () => id.value,
      'orla',
      (words) => elsewhere.push(words),
    )
    return () => h('div')
  })
  mount(page, { global: { plugins: [VueQueryPlugin] } })
  await flushPromises()
  if (!set) {
    throw new Error('The page was not set up')
  }
  return { id, set, elsewhere }
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

it('keeps what is typed while a save is under way, here and in the browser', async () => {
  answers = [state(3, 1)]
  const { set } = await bench('lithium')
  set.history.change({ ...set.document.value, name: 'Sent' })
  held = []
  answers = [state(4, 1, 'Sent')]
  const saving = set.save()
  set.history.change({ ...set.document.value, name: 'Sent, and more' })
  held[0]?.()
  expect(await saving).toBe(true)
  expect(set.document.value.name).toBe('Sent, and more')
  expect(set.unsaved.value).toBe(true)

  held = undefined
  answers = [state(4, 1, 'Sent')]
  const again = await bench('lithium')
  expect(again.set.document.value.name).toBe('Sent, and more')
  answers = [state(5, 1, 'Sent, and more')]
  expect(await again.set.save()).toBe(true)
  expect(asked.at(-1)?.ifMatch).toBe('"4"')
  expect(again.set.unsaved.value).toBe(false)
})

it('keeps what is typed while a new set is saved, under its own address', async () => {
  const { id, set } = await bench(NEW)
  set.history.change({ ...set.document.value, name: 'Lithium' })
  held = []
  answers = [state(1, 0)]
  const saving = set.save()
  set.history.change({ ...set.document.value, purpose: 'typed since' })
  held[0]?.()
  await saving
  id.value = 'lithium'
  await flushPromises()
  held = undefined
  answers = [state(1, 0)]
  expect((await bench('lithium')).set.document.value.purpose).toBe('typed since')
  expect((await bench(NEW)).set.document.value.purpose ?? '').toBe('')
})

it('never paints the answer of one set over another, whether it is saved or refused', async () => {
  answers = [state(3, 1)]
  const { id, set, elsewhere } = await bench('lithium')
  set.history.change({ ...set.document.value, name: 'Mine' })
  held = []
  answers = [state(4, 1, 'Mine'), state(8, 2, 'Hearing', 'hearing')]
  const saving = set.save()
  id.value = 'hearing'
  await flushPromises()
  held[1]?.()
  await flushPromises()
  held[0]?.()
  expect(await saving).toBe(false)
  expect(set.document.value.name).toBe('Hearing')
  expect(set.unsaved.value).toBe(false)

  held = []
  answers = [{ status: 412, body: { type: 'urn:dipstick:changed-meanwhile', detail: 'Changed.' } }]
  set.history.change({ ...set.document.value, name: 'Hearing, mine' })
  const refused = set.save()
  answers = [state(4, 1, 'Mine')]
  id.value = 'lithium'
  await flushPromises()
  held.forEach((answer) => answer())
  expect(await refused).toBe(false)
  await flushPromises()
  expect(set.problem.value).toBe('')
  expect(elsewhere).toEqual(['Changed.'])
  expect(set.document.value.name).toBe('Mine')
  // What was saved is not told as left over.
  expect(set.broughtBack.value).toBe('')
})

it('saves to its own address after a step back to before it had one', async () => {
  const { set } = await bench(NEW)
  set.history.change({ ...set.document.value, name: 'Lithium' })
  answers = [state(1, 0)]
  await set.save()
  set.history.undo()
  set.history.change({ ...set.document.value, name: 'Lithium again' })
  answers = [state(2, 0, 'Lithium again')]
  expect(await set.save()).toBe(true)
  expect(asked.at(-1)?.path).toBe('/api/criteria/lithium')
})

it('opens the set that is asked for last, in whatever order they come', async () => {
  held = []
  answers = [state(3, 1), state(8, 2, 'Hearing', 'hearing')]
  const { id, set } = await bench('lithium')
  id.value = 'hearing'
  await flushPromises()
  held[1]?.()
  await flushPromises()
  held[0]?.()
  await flushPromises()
  expect(set.document.value.name).toBe('Hearing')
})
