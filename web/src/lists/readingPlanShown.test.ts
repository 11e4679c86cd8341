import { button, clear, later, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import ReadingPlan from './ReadingPlan.vue'

const PLAN = {
  every: 'DAY',
  dayOfWeek: 'MONDAY',
  dayOfMonth: 1,
  at: '06:00',
  turned: {},
  dials: [
    { name: 'every', label: 'Check every', default: 'P12M', choices: ['P6M', 'P12M'] },
    { name: 'places', label: 'At', default: ['Mill Lane', 'Harbour Row'] },
  ],
  values: { places: [{ value: 'Mill Lane', count: 4200 }] },
  next: '2026-11-27T06:00:00Z',
  revision: 3,
}
const TRIED = { on: 90, toCheck: 5, onNow: 84, toCheckNow: 5, doubts: ['It removes nobody.'] }

let answers: Parameters<typeof serving>[0]

beforeEach(() => {
  answers = {
    'GET /api/lists/hearing/reading-plan': PLAN,
    'POST /api/lists/hearing/reading-plan/trial': TRIED,
    'PUT /api/lists/hearing/reading-plan': { ...PLAN, every: 'WEEK', revision: 4 },
  }
})
afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function plan(mayChange = true) {
  const asked = serving(answers)
  const wrapper = await shown(ReadingPlan, { id: 'hearing', mayChange })
  await flushPromises()
  return { wrapper, asked }
}

describe('when a list is read', () => {
  it('is said, and changed only by who may', async () => {
    const { wrapper } = await plan(false)
    expect(wrapper.text()).toContain('Read every day at 06:00.')
    expect(wrapper.find('button').exists()).toBe(false)
  })

  it('is changed from what was seen, with the dials that are turned alone', async () => {
    const { wrapper, asked } = await plan()
    await button(wrapper, 'Change it').trigger('click')
    await wrapper.find('#plan-every').setValue('WEEK')
    await wrapper.findAll('select').at(-1)?.setValue('P6M')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect(put?.ifMatch).toBe('"3"')
    expect(put?.body).toMatchObject({ every: 'WEEK', turned: { every: 'P6M' } })
    expect(wrapper.find('form').exists()).toBe(false)
  })

  it('tells what the list would be before it is saved, and nothing while that is counted', async () => {
    const { wrapper } = await plan()
    const answer = later<Response>()
    vi.stubGlobal('fetch', () => answer.promise)
    await button(wrapper, 'Change it').trigger('click')
    await flushPromises()
    expect(wrapper.find('.trial').text()).toBe('What the list would be is being read.')
    answer.resolve(new Response(JSON.stringify(TRIED)))
    await flushPromises()
    expect(wrapper.find('.trial').text()).toBe(
      'The list would have 90 on it and 5 to check; it has 84 and 5. It removes nobody.',
    )
  })

  it('offers dials as they would be set: several texts with semicolons between', async () => {
    const { wrapper } = await plan()
    await button(wrapper, 'Change it').trigger('click')
    expect(wrapper.find('#plan-places').attributes('placeholder')).toBe('Mill Lane; Harbour Row')
    expect(wrapper.find('#plan-places-values option').text()).toBe('Mill Lane: 4,200 on record')
  })

  it('stays as it is typed where it is refused, with what to do', async () => {
    answers['PUT /api/lists/hearing/reading-plan'] = new Refusal(
      422,
      'at: must be a time',
      'incomplete',
    )
    const { wrapper } = await plan()
    await button(wrapper, 'Change it').trigger('click')
    await wrapper.find('#plan-at').setValue('6 o’clock')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toContain('The time is written as 06:00')
    expect(wrapper.find<HTMLInputElement>('#plan-at').element.value).toBe('6 o’clock')
    await button(wrapper, 'Leave as it was').trigger('click')
    expect(wrapper.text()).toContain('Read every day at 06:00.')
  })
})
