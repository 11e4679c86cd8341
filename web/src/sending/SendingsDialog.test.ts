import { clear, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import SendingsDialog from './SendingsDialog.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const DAILY = {
  id: 's1',
  set: 'feet',
  list: 'Feet',
  what: 'NEW',
  every: 'WEEK',
  dayOfWeek: 'FRIDAY',
  dayOfMonth: 1,
  at: '07:30',
  onlyNew: true,
  colleagues: [
    { name: 'tam', displayName: 'Tam', reachable: true, problem: '' },
    { name: 'ines', displayName: 'Ines', reachable: false, problem: '' },
  ],
  revision: 4,
}
const COLLEAGUES = {
  colleagues: [{ name: 'tam', displayName: 'Tam', roles: ['CALLER'] }],
  groups: [],
}

async function opened(answers: object, mayChange = true) {
  const asked = serving({
    'GET /api/sendings': [DAILY, { ...DAILY, id: 's2', set: 'ears' }],
    'GET /api/colleagues': COLLEAGUES,
    ...answers,
  })
  const wrapper = await shown(SendingsDialog, {
    id: 'feet',
    name: 'Feet',
    mayChange,
    visible: true,
  })
  return { wrapper, asked }
}

it('says what of a list is sent, to whom, and who cannot be reached', async () => {
  const { wrapper } = await opened({})
  expect(wrapper.findAll('li')).toHaveLength(1)
  expect(wrapper.text()).toContain(
    'who is new on it, every Friday at 07:30, only if there is something new',
  )
  expect(wrapper.text()).toContain('to Ines: has no e-mail address here')
})

it('changes one at the revision that was seen', async () => {
  const { wrapper, asked } = await opened({ 'PUT /api/sendings/s1': DAILY })
  await wrapper.find('li .word').trigger('click')
  await wrapper.find('#sending-what').setValue('LIST')
  await wrapper.find('form').trigger('submit')
  await flushPromises()
  const put = asked.find((one) => one.method === 'PUT')
  expect(put?.ifMatch).toBe('"4"')
  expect(put?.body).toMatchObject({
    set: 'feet',
    what: 'LIST',
    at: '07:30',
    colleagues: ['tam', 'ines'],
  })
  expect(wrapper.find('form').exists()).toBe(false)
})

it('sends to oneself, or says why not; whoever may not change it is offered no more', async () => {
  const { wrapper, asked } = await opened(
    { 'POST /api/sendings/now': new Refusal(409, 'Nothing was sent to you.') },
    false,
  )
  expect(asked.some((one) => one.path === '/api/sendings')).toBe(false)
  await wrapper
    .findAll('button')
    .find((one) => one.text() === 'the whole list')
    ?.trigger('click')
  await flushPromises()
  expect(wrapper.find('[role=alert]').text()).toBe('Nothing was sent to you.')
})
