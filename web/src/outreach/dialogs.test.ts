import { button, clear, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'
import GiveDialog from './GiveDialog.vue'
import MannerDialog from './MannerDialog.vue'
import OutcomesPanel from './OutcomesPanel.vue'
import PlanDialog from './PlanDialog.vue'
import ReasonDialog from './ReasonDialog.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const COLLEAGUES = {
  colleagues: [
    { name: 'tam', displayName: 'Tam Birchall', roles: ['CALLER'] },
    { name: 'maud', displayName: 'Maud Ketteridge', roles: ['MANAGER'] },
  ],
  groups: [],
}

/** A dialog that was opened, as what listens to its being shown wants it. */
async function opened(dialog: Component, props: Record<string, unknown>) {
  const wrapper = await shown(dialog, { visible: false, ...props })
  await wrapper.setProps({ visible: true })
  await flushPromises()
  return wrapper
}

describe('excusing somebody', () => {
  const props = { what: 'excuse', people: 1, today: '2026-11-26' }

  it('wants a reason, offers some, and is for good unless an end is given', async () => {
    const wrapper = await opened(ReasonDialog, props)
    expect(wrapper.find('#reason').attributes('required')).toBeDefined()
    await button(wrapper, 'No longer applies').trigger('click')
    await wrapper.find('form').trigger('submit')
    expect(wrapper.emitted('save')).toEqual([['No longer applies', '', false]])
    expect(wrapper.emitted('update:visible')?.at(-1)).toEqual([false])
  })

  it('is of this list alone unless all are meant', async () => {
    const wrapper = await opened(ReasonDialog, props)
    await wrapper.find('#reason').setValue('  abroad ')
    await wrapper.find('input[type=checkbox]').setValue(true)
    await wrapper.find('form').trigger('submit')
    expect(wrapper.emitted('save')).toEqual([['abroad', '', true]])
  })

  it('says of how many', async () => {
    const wrapper = await opened(ReasonDialog, { ...props, people: 4 })
    expect(wrapper.find('[role=dialog]').attributes('aria-label')).toBe('Excuse: 4 people')
  })
})

it('closing somebody begins with the reason that is most frequent, and has no end', async () => {
  const wrapper = await opened(ReasonDialog, { what: 'close', people: 1, today: '2026-11-26' })
  expect(wrapper.find('#until').exists()).toBe(false)
  await wrapper.find('form').trigger('submit')
  expect(wrapper.emitted('save')).toEqual([['No response', '', false]])
})

describe('what comes next', () => {
  it('is a call in a week unless something else is said', async () => {
    const wrapper = await opened(PlanDialog, { today: '2026-11-26' })
    await wrapper.find('form').trigger('submit')
    expect(wrapper.emitted('plan')).toEqual([['CALL', '2026-12-03']])
  })

  it.each([
    ['Tomorrow', '2026-11-27'],
    ['In two weeks', '2026-12-10'],
    ['In four weeks', '2026-12-24'],
  ])('%s is on %s', async (words, day) => {
    const wrapper = await opened(PlanDialog, { today: '2026-11-26' })
    await button(wrapper, words).trigger('click')
    await wrapper.find('form').trigger('submit')
    expect(wrapper.emitted('plan')).toEqual([['CALL', day]])
  })
})

it('people are given to colleagues who work lists', async () => {
  serving({ 'GET /api/colleagues': COLLEAGUES })
  const wrapper = await opened(GiveDialog, { people: 2 })
  expect(wrapper.find('[role=dialog]').attributes('aria-label')).toContain('2 people')
  expect(wrapper.emitted('give')).toBeUndefined()
})

describe('how a list is worked', () => {
  const desk = {
    name: 'Kidney',
    mannerRevision: 3,
    dials: [],
    all: 0,
    manner: {
      plan: {
        steps: [
          { step: 'CALL', afterDays: 0 },
          { step: 'CLOSE', afterDays: 7 },
        ],
        afterReached: 14,
        afterBooked: 7,
      },
      hold: { appointmentDays: 60, reachedDays: 14, doNotContact: true, noWay: true },
      parts: [],
    },
  }

  it('is saved as it was changed, with the revision that was seen', async () => {
    const asked = serving({
      'GET /api/colleagues': COLLEAGUES,
      'GET /api/lists/kidney/desk/manner/parts': { sites: ['Mill Lane'], providers: [] },
      'PUT /api/lists/kidney/desk/manner': {},
    })
    const wrapper = await opened(MannerDialog, { id: 'kidney', desk })
    await wrapper.find('[aria-label="Leave out step 2"]').trigger('click')
    await button(wrapper, 'Add a step').trigger('click')
    await button(wrapper, 'Cut out a part').trigger('click')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect(put?.ifMatch).toBe('"3"')
    expect(put?.body).toMatchObject({
      plan: {
        steps: [
          { step: 'CALL', afterDays: 0 },
          { step: 'CALL', afterDays: 7 },
        ],
      },
      parts: [{ sites: [], providers: [], colleagues: [] }],
    })
    expect(wrapper.emitted('update:visible')?.at(-1)).toEqual([false])
  })

  it('that somebody else changed meanwhile is told, and stays open', async () => {
    serving({
      'GET /api/colleagues': COLLEAGUES,
      'PUT /api/lists/kidney/desk/manner': new Refusal(412, 'Somebody changed it meanwhile.'),
    })
    const wrapper = await opened(MannerDialog, { id: 'kidney', desk })
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toBe('Somebody changed it meanwhile.')
    expect(wrapper.emitted('update:visible')).toBeUndefined()
  })

  it('is left as it was, whatever was typed', async () => {
    serving({ 'GET /api/colleagues': COLLEAGUES })
    const wrapper = await opened(MannerDialog, { id: 'kidney', desk })
    await wrapper.find('[aria-label="Leave out step 2"]').trigger('click')
    await wrapper.setProps({ visible: false })
    await wrapper.setProps({ visible: true })
    expect(wrapper.findAll('[aria-label^="Leave out step"]')).toHaveLength(2)
  })
})

describe('the outcomes of the practice', () => {
  const KNOWN = {
    revision: 9,
    outcomes: [
      { id: 'reached', name: 'Reached', effect: 'REACHED', place: 1, inUse: true },
      { id: 'no-answer', name: 'No answer', effect: 'NOT_REACHED', place: 2, inUse: true },
      { id: 'old', name: 'Sent pigeon', effect: 'SENT', place: 3, inUse: false },
    ],
  }

  it('are those that are offered, and are saved in their order with codes that stay', async () => {
    const asked = serving({ 'GET /api/outcomes': KNOWN, 'PUT /api/outcomes': KNOWN })
    const wrapper = await shown(OutcomesPanel, {})
    const names = wrapper.findAll('li input').map((one) => (one.element as HTMLInputElement).value)
    expect(names).toEqual(['Reached', 'No answer'])
    await wrapper.findAll('li input')[1]?.setValue('Nobody there')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect(put?.ifMatch).toBe('"9"')
    expect(put?.body).toEqual({
      outcomes: [
        { id: 'reached', name: 'Reached', effect: 'REACHED' },
        { id: 'no-answer', name: 'Nobody there', effect: 'NOT_REACHED' },
      ],
    })
    expect(wrapper.text()).toContain('Saved. Every desk offers these now.')
  })

  it('that were changed meanwhile are told', async () => {
    serving({
      'GET /api/outcomes': KNOWN,
      'PUT /api/outcomes': new Refusal(412, 'Somebody changed the outcomes meanwhile.'),
    })
    const wrapper = await shown(OutcomesPanel, {})
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toBe('Somebody changed the outcomes meanwhile.')
    expect(wrapper.text()).not.toContain('Saved.')
  })
})
