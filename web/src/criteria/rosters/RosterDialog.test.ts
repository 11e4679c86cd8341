import { button, clear, later, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import Select from 'primevue/select'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import RosterDialog from './RosterDialog.vue'

const OWN = {
  id: 'no-letters',
  name: 'No letters, please',
  key: ['family_name', 'birth_date'],
  rows: [['Marl', '1950-02-03']],
}
const WALK = {
  summary: { id: 'walk', name: 'Walking group', key: ['id'], until: '', version: 2 },
  rows: [
    { cells: ['7'], until: '' },
    { cells: ['8'], until: '2026-01-31' },
  ],
}

let answers: Parameters<typeof serving>[0]

beforeEach(() => {
  answers = {
    'GET /api/rosters': [{ id: 'walk', name: 'Walking group' }],
    'GET /api/rosters/walk': WALK,
    'PUT /api/rosters/no-letters': {},
  }
})
afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function dialog(roster: typeof OWN | undefined) {
  const asked = serving(answers)
  const wrapper = await shown(RosterDialog, {
    visible: false,
    roster,
    fields: [{ name: 'id' }, { name: 'family_name' }, { name: 'birth_date' }],
    taken: new Set(['no-letters']),
  })
  await wrapper.setProps({ visible: true })
  await flushPromises()
  return { wrapper, asked, pasted: wrapper.find('textarea') }
}

describe('a roster', () => {
  it('is what is pasted, a person a line, under an id that no other has', async () => {
    const { wrapper, pasted } = await dialog(undefined)
    await wrapper.find('label input').setValue(' No letters ')
    await pasted.setValue('7\n8\n')
    await wrapper.find('form').trigger('submit')
    expect(wrapper.emitted('save')?.at(-1)).toEqual([
      { id: 'no-letters-2', name: 'No letters', key: ['id'], rows: [['7'], ['8']] },
    ])
  })

  it('is not used while a row has more or fewer cells than its key', async () => {
    const { wrapper, pasted } = await dialog(OWN)
    expect(pasted.element.value).toBe('Marl\t1950-02-03')
    await pasted.setValue('Marl\t1950-02-03\nTove')
    expect(wrapper.find('[role=alert]').text()).not.toBe('')
    expect(button(wrapper, 'Use it').attributes('disabled')).toBeDefined()
  })

  it('that is shared is taken with the rows that hold today', async () => {
    const { wrapper } = await dialog(undefined)
    wrapper.findComponent(Select).vm.$emit('update:modelValue', 'walk')
    await flushPromises()
    expect(wrapper.emitted('save')?.at(-1)).toEqual([
      { id: 'walk', name: 'Walking group', key: ['id'], rows: [['7']] },
    ])
  })

  it('is not taken any more by who left the dialog meanwhile', async () => {
    const { wrapper } = await dialog(undefined)
    const answer = later<Response>()
    vi.stubGlobal('fetch', () => answer.promise)
    wrapper.findComponent(Select).vm.$emit('update:modelValue', 'walk')
    await wrapper.setProps({ visible: false })
    answer.resolve(new Response(JSON.stringify(WALK)))
    await flushPromises()
    expect(wrapper.emitted('save')).toBeUndefined()
  })

  it('is shared as it is saved, and says what was refused', async () => {
    const { wrapper, asked } = await dialog(OWN)
    await button(wrapper, 'Share it with other sets').trigger('click')
    await flushPromises()
    expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({
      name: 'No letters, please',
      rows: [{ cells: ['Marl', '1950-02-03'], until: '' }],
    })
    expect(wrapper.text()).toContain('Shared. Other sets can take it now')

    answers['PUT /api/rosters/no-letters'] = new Refusal(409, 'There is one of this id.')
    await button(wrapper, 'Share it with other sets').trigger('click')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toBe('There is one of this id.')
    expect(wrapper.text()).not.toContain('Shared. Other')
  })
})
