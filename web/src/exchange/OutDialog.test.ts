import { type Asked, button, clear, Refusal, serving, shown } from '@/testing'
import { shownFields } from '@/testing/rows'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import OutDialog from './OutDialog.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
  clear()
})

const PEOPLE = ['Marl', 'Vask']

/** Lets a file be handed to a browser that keeps none; tells how often. */
function downloads() {
  URL.createObjectURL = () => 'blob:x'
  URL.revokeObjectURL = () => undefined
  return vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined)
}

async function dialog(answers: Record<string, unknown> = {}, roles = ['COORDINATOR']) {
  const asked = serving({
    'GET /api/letters': {
      templates: [
        { name: 'Recall', language: 'en', subject: 's', body: 'b', revision: 1 },
        { name: 'Recall', language: 'pt', subject: 's', body: 'b', revision: 1 },
        { name: 'Reminder', language: 'en', subject: 's', body: 'b', revision: 1 },
      ],
      fields: ['given_name'],
    },
    'GET /api/mail': { ready: true, standIn: true },
    'POST /api/lists/kidney/out/check': {
      people: ['Marl'],
      byLanguage: { en: 1 },
      again: 0,
      leftOut: [{ person: 'Vask', name: 'Vask, Ada', why: 'No address is on record.' }],
    },
    ...answers,
  })
  const wrapper = await shown(
    OutDialog,
    { visible: false, list: 'kidney', people: PEOPLE, example: 'Marl' },
    { name: 'orla', roles },
  )
  await wrapper.setProps({ visible: true })
  await flushPromises()
  return { wrapper, asked }
}

async function choose(wrapper: VueWrapper, format: string) {
  await wrapper.find('#out-format').setValue(format)
  await flushPromises()
}

async function submit(wrapper: VueWrapper) {
  await wrapper.find('form').trigger('submit')
  await flushPromises()
}

function posted(asked: readonly Asked[], path: string) {
  return asked.filter((one) => one.method === 'POST' && one.path.endsWith(path)).at(-1)?.body
}

describe('taking people out', () => {
  it('asks why as soon as something says how to reach them', async () => {
    const { wrapper } = await dialog()
    expect(wrapper.find('[role=dialog]').attributes('aria-label')).toBe('Take out: 2 people')
    expect(wrapper.find('#out-reason').exists()).toBe(false)
    const phone = wrapper.findAll('.columns label').find((one) => one.text() === 'phone')
    await phone?.find('input').setValue(true)
    expect(wrapper.find('#out-reason').attributes('required')).toBeDefined()
    await choose(wrapper, 'CALL_SHEET')
    expect(wrapper.find('#out-reason').exists()).toBe(true)
  })

  it('gives a file of the chosen columns in the order of the queue', async () => {
    const saved = downloads()
    const { wrapper, asked } = await dialog({
      'POST /api/lists/kidney/out': 'a,b',
      'POST /api/lists/kidney/out/about': {},
    })
    await submit(wrapper)
    expect(wrapper.text()).toContain('The file is with your downloads.')
    expect(saved).toHaveBeenCalledOnce()
    await choose(wrapper, 'CSV')
    await submit(wrapper)
    const table = { format: 'CSV', people: PEOPLE, reason: '' }
    expect(posted(asked, '/out')).toMatchObject(table)
    expect(posted(asked, '/out/about')).toMatchObject(table)
    expect(wrapper.text()).toContain('beside it a file that says who took it out, when and why')
    expect(saved).toHaveBeenCalledTimes(3)
  })

  it('offers first what the set of the list shows', async () => {
    downloads()
    const { wrapper, asked } = await dialog({ 'POST /api/lists/kidney/out': 'a,b' })
    await wrapper.setProps({
      show: [
        ...shownFields('site', 'due_on', 'Care_plan'),
        { name: 'Soak test: latest', ofCriterion: true },
      ],
    })
    await submit(wrapper)
    const out = posted(asked, '/out') as { columns: string[]; fields: string[] }
    expect(out.columns.at(-1)).toBe('SITE')
    expect(out.columns.filter((one) => one === 'DUE_ON')).toHaveLength(1)
    expect(out.fields).toEqual(['Care_plan', 'Soak test: latest'])
    expect(wrapper.find('.columns').text()).toContain('Care plan')
  })

  it('says what was wrong and takes nothing out', async () => {
    const { wrapper } = await dialog({
      'POST /api/lists/kidney/out': new Refusal(422, 'Nothing was taken out.'),
    })
    await submit(wrapper)
    expect(wrapper.find('[role=alert]').text()).toBe('Nothing was taken out.')
    expect(wrapper.text()).not.toContain('downloads')
  })
})

describe('letters', () => {
  it('are offered by name once, with who is left out and why, and logged on demand', async () => {
    downloads()
    const { wrapper } = await dialog({ 'POST /api/lists/kidney/out': '%PDF' })
    await choose(wrapper, 'LETTERS')
    expect(wrapper.findAll('#out-template option').map((one) => one.text())).toEqual([
      'Recall',
      'Reminder',
    ])
    expect(wrapper.text()).toContain('1 in en')
    expect(wrapper.find('.left-out').text()).toBe('Vask, Ada: No address is on record.')
    await wrapper.find('#out-reason').setValue('recall')
    await submit(wrapper)
    await button(wrapper, 'Log it for 1 person').trigger('click')
    expect(wrapper.emitted('written')).toEqual([[['Marl'], 'sent-letter']])
  })

  it('are changed by coordinators alone', async () => {
    const { wrapper } = await dialog({}, ['CALLER'])
    await choose(wrapper, 'LETTERS')
    expect(wrapper.text()).not.toContain('Change the letters')
  })
})

describe('e-mail', () => {
  it('says how many were sent, and of each other why not', async () => {
    const { wrapper, asked } = await dialog({
      'POST /api/lists/kidney/out/mail': {
        sent: ['Marl'],
        leftOut: [{ person: 'Vask', name: 'Vask, Ada', why: 'The mail server refused it.' }],
        notLogged: [],
      },
    })
    await choose(wrapper, 'MAIL')
    expect(wrapper.text()).toContain('mail goes to a stand-in')
    await wrapper.find('#out-reason').setValue('yearly recall')
    await submit(wrapper)
    expect(posted(asked, '/mail')).toEqual({
      people: PEOPLE,
      template: 'Recall',
      reason: 'yearly recall',
      again: false,
      toCheck: false,
    })
    expect(wrapper.text()).toContain('1 sent and logged.')
    expect(wrapper.find('[aria-label="Left out"]').text()).toBe(
      'Vask, Ada: The mail server refused it.',
    )
    expect(wrapper.emitted('written')).toBeUndefined()
  })

  it('cannot be sent where no server is set up', async () => {
    const { wrapper } = await dialog({ 'GET /api/mail': { ready: false, standIn: false } })
    await choose(wrapper, 'MAIL')
    expect(wrapper.text()).toContain('No mail server is set up here, so nothing can be sent.')
  })
})
