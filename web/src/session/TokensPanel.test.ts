import { button, clear, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import TokensPanel from './TokensPanel.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const ADDRESS = '/api/session/tokens'
const USED = {
  id: 'a',
  label: 'The laboratory',
  scopes: ['RECORDS_BRING_IN'],
  made: '2026-11-01T08:00:00Z',
  expires: '2026-12-01T08:00:00Z',
  lastUsed: '2026-11-27T08:00:00Z',
  lastAddress: '192.0.2.7',
}
const NEVER = { ...USED, id: 'b', label: 'The report', lastUsed: undefined, lastAddress: '' }

async function panel(mayBeGiven: string[]) {
  const asked = serving({
    [`GET ${ADDRESS}`]: { tokens: [USED, NEVER], mayBeGiven },
    [`POST ${ADDRESS}`]: { id: 'c', token: 'dipstick-ONCE' },
    [`DELETE ${ADDRESS}/a`]: null,
  })
  return { wrapper: await shown(TokensPanel, {}), asked }
}

it('says what each is for, until when, and where it was used last', async () => {
  const { wrapper, asked } = await panel([])
  expect(wrapper.text()).toContain('brings people and records in, until 1 Dec 2026')
  expect(wrapper.text()).toContain('from 192.0.2.7')
  expect(wrapper.text()).toContain('never used')
  expect(wrapper.text()).toContain('nothing that a program could do')
  await button(wrapper, 'Withdraw').trigger('click')
  await flushPromises()
  expect(asked.some((one) => one.method === 'DELETE')).toBe(true)
})

it('makes one for what was ticked, and shows it once', async () => {
  const { wrapper, asked } = await panel(['LISTS_READ'])
  expect(button(wrapper, 'Make a token').attributes('disabled')).toBeDefined()
  await wrapper.find('#token-label').setValue('The report')
  await wrapper.find('input[type=checkbox]').setValue(true)
  await wrapper.find('#token-password').setValue('a long password')
  await wrapper.find('form').trigger('submit')
  await flushPromises()
  expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
    label: 'The report',
    scopes: ['LISTS_READ'],
    days: 90,
    current: 'a long password',
  })
  expect(wrapper.text()).toContain('dipstick-ONCE')
  expect((wrapper.find('#token-password').element as HTMLInputElement).value).toBe('')
})
