import { button, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import OwnAccountDialog from './OwnAccountDialog.vue'

afterEach(() => {
  vi.unstubAllGlobals()
})

const HERE = {
  id: 'a',
  address: '192.0.2.1',
  browser: 'Mozilla/5.0 (X11; Linux x86_64) Chrome/140.0 Safari/537.36',
  since: '2026-11-27T08:00:00Z',
  lastSeen: '2026-11-27T08:10:00Z',
  here: true,
}
const THERE = { ...HERE, id: 'b', browser: 'curl/8', here: false }

async function dialog(answers: Record<string, unknown> = {}) {
  const asked = serving({
    'GET /api/session/sessions': [HERE, THERE],
    'DELETE /api/session/sessions/b': null,
    'POST /api/session/password': null,
    'GET /api/session/second-factor': { recoveryCodes: 0, demanded: 'NOTHING' },
    'GET /api/session/second-factor/passkeys': [],
    'GET /api/session/tokens': { tokens: [], mayBeGiven: [] },
    ...answers,
  })
  const wrapper = await shown(OwnAccountDialog, { visible: false })
  await wrapper.setProps({ visible: true })
  await flushPromises()
  return { wrapper, asked }
}

async function type(wrapper: Awaited<ReturnType<typeof dialog>>['wrapper'], again: string) {
  await wrapper.find('#own-current').setValue('a long password')
  await wrapper.find('#own-password').setValue('quite another long one')
  await wrapper.find('#own-again').setValue(again)
  await wrapper.find('form').trigger('submit')
  await flushPromises()
}

it('tells where one is signed in, and signs out elsewhere', async () => {
  const { wrapper, asked } = await dialog()
  expect(wrapper.find('.sessions').text()).toContain('Chrome on Linux, 192.0.2.1')
  expect(wrapper.find('.sessions').text()).toContain('curl/8')
  await button(wrapper, 'Sign out there').trigger('click')
  await flushPromises()
  expect(asked.some((one) => one.method === 'DELETE')).toBe(true)
})

it('changes the password once it was typed the same twice', async () => {
  const { wrapper, asked } = await dialog()
  await type(wrapper, 'something else')
  expect(wrapper.text()).toContain('typed in two ways')
  expect(asked.some((one) => one.method === 'POST')).toBe(false)
  await type(wrapper, 'quite another long one')
  expect(wrapper.text()).toContain('you are signed out everywhere else')
})

it('keeps what was typed where the password is refused', async () => {
  const refused = new Refusal(422, 'This password is among the first that are guessed.')
  const { wrapper } = await dialog({ 'POST /api/session/password': refused })
  await type(wrapper, 'quite another long one')
  expect(wrapper.text()).toContain('among the first')
  expect((wrapper.find('#own-password').element as HTMLInputElement).value).not.toBe('')
})
