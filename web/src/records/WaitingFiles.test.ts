import { button, clear, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it } from 'vitest'
import WaitingFiles from './WaitingFiles.vue'

const FILE = {
  id: 'w1',
  fileName: 'monday.csv',
  intake: 'harbour-lab',
  since: '2026-11-27T06:00:00Z',
  why: ['It holds 2 people and records where the last one held 60.'],
}
const READING = { id: 'd1', fileName: 'monday.csv', stage: 'READING', reason: '' }

afterEach(clear)

it('says which files wait and why, and nothing where none does', async () => {
  serving({ 'GET /api/deliveries/waiting': [FILE] })
  const page = await shown(WaitingFiles, {})
  await flushPromises()
  expect(page.text()).toContain('monday.csv')
  expect(page.text()).toContain('It holds 2 people and records where the last one held 60.')
  clear()

  serving({ 'GET /api/deliveries/waiting': [] })
  const empty = await shown(WaitingFiles, {})
  await flushPromises()
  expect(empty.text()).toBe('')
})

it('opens one to be looked at as any file', async () => {
  serving({
    'GET /api/deliveries/waiting': [FILE],
    'POST /api/deliveries/waiting/w1': READING,
    'GET /api/deliveries/d1': READING,
  })
  const page = await shown(WaitingFiles, {})
  await flushPromises()
  await button(page, 'Look at it').trigger('click')
  await flushPromises()
  expect(page.text()).toContain('Finding out what monday.csv is')
})

it('says that one is gone, and looks again which are there', async () => {
  let files = [FILE]
  serving({
    'GET /api/deliveries/waiting': () => files,
    'DELETE /api/deliveries/waiting/w1': () => {
      files = []
      return new Refusal(404, 'This file does not wait here any more.')
    },
  })
  const page = await shown(WaitingFiles, {})
  await flushPromises()
  await button(page, 'Put away').trigger('click')
  await flushPromises()
  expect(page.text()).not.toContain('monday.csv')
})
