import { PersonPanel } from '@/people'
import { clear, later, Refusal, serving, shown } from '@/testing'
import { deskRow } from '@/testing/rows'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import ListPage from './ListPage.vue'

function row(id: string, name: string, state: string) {
  return {
    person: { id, name, age: '65', phone: '', provider: '', site: '', doNotContact: false },
    state,
    due: 'never',
    shown: [],
  }
}

const LIST = {
  name: 'Hearing check',
  all: 3,
  dials: [],
  show: [],
  rows: [row('1', 'Marl', 'CHECK'), row('2', 'Tove', 'ON'), row('3', 'Vask', 'ON')],
}
const asked: Record<string, unknown> = {}

beforeEach(() => {
  Object.assign(asked, {
    'GET /api/lists/hearing': LIST,
    'GET /api/lists/hearing/reading-plan': { every: 'NEVER', dials: [], values: {}, turned: {} },
  })
})
afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function page() {
  serving(asked)
  const wrapper = await shown(ListPage, { id: 'hearing' })
  await flushPromises()
  return wrapper
}

function nameOf(wrapper: Awaited<ReturnType<typeof page>>, name: string) {
  const found = wrapper.findAll('button.word').find((one) => one.text() === name)
  if (!found) {
    throw new Error(`${name} is not there`)
  }
  return found
}

describe('a list as of a day', () => {
  it('tells who is on it apart from who is to check', async () => {
    const wrapper = await page()
    expect(wrapper.text()).toContain('2 on the list, 1 to check')
    expect(wrapper.findAll('tbody tr').map((one) => one.find('button').text())).toEqual([
      'Tove',
      'Vask',
      'Marl',
    ])
  })

  it('sorts what is not known last, whichever way', async () => {
    const ages: Record<string, string> = { Marl: '9', Tove: '', Vask: '74–75' }
    asked['GET /api/lists/hearing'] = {
      ...LIST,
      rows: LIST.rows.map((one) => ({
        ...one,
        person: { ...one.person, age: ages[one.person.name] ?? '' },
      })),
    }
    const wrapper = await page()
    const age = wrapper.findAll('th').find((one) => one.text() === 'Age')
    const names = () => wrapper.findAll('tbody tr').map((one) => one.find('button').text())
    await age?.trigger('click')
    expect(names()).toEqual(['Marl', 'Vask', 'Tove'])
    await age?.trigger('click')
    expect(names()).toEqual(['Vask', 'Marl', 'Tove'])
  })

  it('opens who was asked for last, whichever answer comes last', async () => {
    const wrapper = await page()
    const answers = { 2: later<Response>(), 3: later<Response>() }
    vi.stubGlobal('fetch', (path: string) =>
      path.includes('/people/2') ? answers[2].promise : answers[3].promise,
    )
    await nameOf(wrapper, 'Tove').trigger('click')
    await nameOf(wrapper, 'Vask').trigger('click')
    const nothing = { details: [], criteria: [], records: [], windows: [] }
    const of = (name: string) =>
      new Response(JSON.stringify({ ...nothing, person: deskRow(name).person }))
    answers[3].resolve(of('Vask'))
    await flushPromises()
    answers[2].resolve(of('Tove'))
    await flushPromises()
    expect(wrapper.findComponent(PersonPanel).text()).toContain('Vask')
    expect(wrapper.text()).not.toContain('Tove, Ada')
  })

  it('says what went wrong with opening one, and leaves the list', async () => {
    asked['GET /api/lists/hearing/people/2'] = new Refusal(404, 'There is nobody of this id.')
    const wrapper = await page()
    await nameOf(wrapper, 'Tove').trigger('click')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toBe('There is nobody of this id.')
    expect(wrapper.findAll('tbody tr')).toHaveLength(3)
  })
})
