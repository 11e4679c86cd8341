import { button, clear, later, Refusal, serving, shown, type Asked } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import TermSetDialog from './TermSetDialog.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const CHECK = { text: 'hearing check', match: 'startsWith' }
const SHARED = {
  id: 'check',
  name: 'Hearing check',
  members: [CHECK],
  leftOut: [{ text: 'ear wax' }],
  version: 4,
  changedBy: 'Orla Fenwick',
  changedAt: '2026-11-02T09:00:00Z',
  usedBy: ['Hearing check due', 'Aid wearers'],
}
const COPY = { id: 'check', name: 'Hearing check', members: [CHECK] }

function term(text: string) {
  return {
    sort: 'TEXT',
    term: text,
    system: '',
    says: '',
    kinds: ['visit'],
    sources: [],
    records: 12,
    besides: 0,
    people: 9,
  }
}

const ANSWERS = {
  'GET /api/term-sets': [SHARED],
  'GET /api/records/terms': [term('Hearing check, annual'), term('Ear wax'), term('Audiogram')],
  'GET /api/term-sets/check/offered': { since: '2026-11-02T09:00:00Z', terms: [] },
  'POST /api/term-sets/check/effects': [
    { name: 'Hearing check due', published: true, on: 80, joined: 0, left: 4 },
  ],
}

async function opened(answers: Record<string, unknown> = {}, props: object = {}) {
  const asked = serving({ ...ANSWERS, ...answers })
  const wrapper = await shown(TermSetDialog, {
    visible: false,
    termSet: COPY,
    taken: new Set<string>(),
    ...props,
  })
  await wrapper.setProps({ visible: true })
  await flushPromises()
  return { wrapper, asked }
}

type Shown = Awaited<ReturnType<typeof opened>>['wrapper']

function tick(wrapper: Shown, words: string) {
  return wrapper.find<HTMLInputElement>(`input[aria-label="wording “${words}”"]`)
}

function members(wrapper: Shown): string[] {
  return wrapper.findAll('[aria-label="Members of the term set"] .member').map((one) => one.text())
}

describe('a shared term set', () => {
  it('shows what is in it, by its own and by wider members, and what is left out', async () => {
    const { wrapper } = await opened()
    expect(members(wrapper)).toEqual(['wording starts with “hearing check”'])
    const wider = tick(wrapper, 'Hearing check, annual').element
    expect([wider.checked, wider.disabled], 'which is not ticked off alone').toEqual([true, true])
    expect(wrapper.find('tr.out').text()).toContain('Ear wax')
    expect(button(wrapper, 'Change it for all').attributes('disabled')).toBeDefined()
  })

  it('tells what a change would do to each set, and changes it for all as it was seen', async () => {
    const { wrapper, asked } = await opened({
      'PUT /api/term-sets/check': { termSet: SHARED, sets: [] },
    })
    await tick(wrapper, 'Audiogram').setValue(true)
    await vi.waitFor(() => {
      expect(wrapper.find('.effects').text()).toContain(
        '80 on the list: 0 would join, 4 would leave.',
      )
    })
    await button(wrapper, 'Change it for all').trigger('click')
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect(put?.ifMatch).toBe('"4"')
    expect(put?.body).toEqual({
      name: 'Hearing check',
      members: [CHECK, { text: 'Audiogram' }],
      leftOut: [{ text: 'ear wax' }],
    })
    expect(wrapper.emitted('update:visible')?.at(-1)).toEqual([false])
  })

  it('keeps what is left out of it, also where it came only after the dialog was opened', async () => {
    const sets = later<Response>()
    let waits = true
    serving(ANSWERS)
    const answering = globalThis.fetch
    vi.stubGlobal('fetch', (path: string, options: RequestInit) =>
      path === '/api/term-sets' && waits ? sets.promise : answering(path, options),
    )
    const wrapper = await shown(TermSetDialog, { visible: false, termSet: COPY, taken: new Set() })
    await wrapper.setProps({ visible: true })
    await flushPromises()
    waits = false
    sets.resolve(new Response(JSON.stringify([SHARED])))
    await flushPromises()
    expect(wrapper.find('[aria-label="Left out of the term set"]').text()).toContain('ear wax')
    expect(button(wrapper, 'Change it for all').attributes('disabled')).toBeDefined()
  })

  it('that somebody changed meanwhile is not written over, and what was gathered stays', async () => {
    const { wrapper } = await opened({
      'PUT /api/term-sets/check': new Refusal(412, 'Tam changed it meanwhile.'),
    })
    await tick(wrapper, 'Audiogram').setValue(true)
    await button(wrapper, 'Change it for all').trigger('click')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toContain('Tam changed it meanwhile.')
    expect(members(wrapper)).toHaveLength(2)
    expect(wrapper.emitted('update:visible')).toBeUndefined()
  })

  it('is changed in one set alone under an id of its own', async () => {
    const { wrapper } = await opened({}, { taken: new Set(['hearing-check']) })
    await tick(wrapper, 'Audiogram').setValue(true)
    await button(wrapper, 'Only in this set').trigger('click')
    const [saved] = wrapper.emitted('save')?.at(-1) as [{ id: string; members: object[] }]
    expect(saved.id).not.toBe('check')
    expect(saved.id).not.toBe('hearing-check')
    expect(saved.members).toEqual([CHECK, { text: 'Audiogram' }])
  })

  it('is offered where the document holds other members under its id', async () => {
    const { wrapper } = await opened({}, { termSet: { ...COPY, members: [{ text: 'audiogram' }] } })
    expect(wrapper.find('.calm').text()).toContain('Hearing check due, Aid wearers hold')
    await button(wrapper, 'Take the shared one').trigger('click')
    expect(wrapper.emitted('save')?.at(-1)).toEqual([COPY])
  })
})

describe('finding terms', () => {
  it('says that nothing holds what is typed only once that is known', async () => {
    const answer = later<Response>()
    serving(ANSWERS)
    const answering = globalThis.fetch
    vi.stubGlobal('fetch', (path: string, options: RequestInit) =>
      path.startsWith('/api/records/terms') ? answer.promise : answering(path, options),
    )
    const wrapper = await shown(TermSetDialog, {
      visible: false,
      termSet: undefined,
      taken: new Set(),
    })
    await wrapper.setProps({ visible: true })
    await flushPromises()
    expect(wrapper.find('.found').text()).toBe('The records are being looked through.')
    answer.resolve(new Response('[]'))
    await flushPromises()
    expect(wrapper.find('.found').text()).toContain('Nothing in the records holds')
  })

  it('adds what is typed as it is, in three ways', async () => {
    const { wrapper } = await opened({}, { termSet: undefined })
    await wrapper.find('.name input').setValue('Wax')
    await wrapper.findAll('input')[1]?.setValue('syringe')
    await button(wrapper, 'Add wording containing “syringe”').trigger('click')
    await button(wrapper, 'Add code “syringe” of any system').trigger('click')
    await wrapper.find('form').trigger('submit')
    expect(wrapper.emitted('save')?.at(-1)).toEqual([
      {
        id: 'wax',
        name: 'Wax',
        members: [{ text: 'syringe', match: 'contains' }, { code: 'syringe' }],
      },
    ])
  })

  it('looks for the newest words, whichever answer comes last', async () => {
    const { wrapper } = await opened({
      'GET /api/records/terms': ({ path }: Asked) => [
        term(path.endsWith('find=wax') ? 'Wax' : 'Other'),
      ],
    })
    await wrapper.findAll('input')[1]?.setValue('wax')
    await vi.waitFor(() => {
      expect(tick(wrapper, 'Wax').exists()).toBe(true)
    })
    expect(tick(wrapper, 'Other').exists()).toBe(false)
  })
})
