import { button, clear, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import OpenFileDialog from './OpenFileDialog.vue'

const WAX = { id: 'wax', name: 'Ear wax', members: [{ text: 'ear wax' }] }
const FILE = {
  format: 'dipstick-criteria/1',
  id: 'hearing',
  name: 'Hearing check due',
  termSets: [WAX, { id: 'check', name: 'Checks', members: [{ code: 'HC1' }] }],
}
const HERE = { id: 'hearing', name: 'Hearing', right: 'CHANGE' }

let answers: Parameters<typeof serving>[0]

beforeEach(() => {
  answers = {
    'GET /api/term-sets': [{ ...WAX, members: [{ text: 'ear wax' }, { code: 'EW' }] }],
    'POST /api/criteria/hearing/versions/next': {
      changes: ['“aged 18 or over” became “aged 21 or over”.'],
      on: 80,
      joined: 0,
      left: 4,
    },
  }
})
afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function dialog(sets: object[] | undefined) {
  serving(answers)
  const wrapper = await shown(OpenFileDialog, { document: undefined, sets })
  await wrapper.setProps({ document: FILE })
  await flushPromises()
  return wrapper
}

describe('a file that is opened', () => {
  it('says how it differs from the set that is here, and which it is put over', async () => {
    const wrapper = await dialog([HERE])
    expect(wrapper.text()).toContain('There is a set of this id here: “Hearing”.')
    expect(wrapper.text()).toContain('“aged 18 or over” became “aged 21 or over”.')
    expect(wrapper.text()).toContain('80 on its list today: 0 would join, 4 would leave.')
    await button(wrapper, 'Put it on the bench over “Hearing”').trigger('click')
    expect(wrapper.emitted('put')?.at(-1)).toEqual([FILE, HERE])
  })

  it('says how its term sets stand to those that are shared here', async () => {
    const wrapper = await dialog([HERE])
    expect(wrapper.findAll('li').map((one) => one.text())).toEqual(
      expect.arrayContaining(['“Ear wax” is different; only here: code EW.', '“Checks” is new.']),
    )
  })

  it('is new only where it is known that there is none', async () => {
    const wrapper = await dialog(undefined)
    expect(wrapper.text()).not.toContain('It is new here.')
    expect(wrapper.text()).toContain('is being looked up')
    await wrapper.setProps({ sets: [] })
    expect(wrapper.text()).toContain('It is new here.')
    await button(wrapper, 'Put it on the bench as a new set').trigger('click')
    expect(wrapper.emitted('put')?.at(-1)).toEqual([FILE, undefined])
    expect(wrapper.emitted('close')).toHaveLength(1)
  })

  it('that cannot be evaluated here can be put on the bench all the same, to be mended', async () => {
    answers['POST /api/criteria/hearing/versions/next'] = new Refusal(422, 'No field “shoe”.')
    const wrapper = await dialog([])
    expect(wrapper.find('[role=alert]').text()).toBe('No field “shoe”.')
    expect(wrapper.text()).not.toContain('on its list today')
    await button(wrapper, 'Put it on the bench as a new set').trigger('click')
    expect(wrapper.emitted('put')).toHaveLength(1)
  })
})
