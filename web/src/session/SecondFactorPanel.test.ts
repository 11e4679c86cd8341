import { button, clear, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import SecondFactorPanel from './SecondFactorPanel.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const ADDRESS = '/api/session/second-factor'
const NONE = { recoveryCodes: 0, demanded: 'NOTHING' }
const IN_USE = { since: '2026-11-27T08:00:00Z', recoveryCodes: 1, demanded: 'NOTHING' }
const OFFERED = {
  secret: 'ABCDEFGH',
  address: 'otpauth://totp/x',
  picture: 'data:image/png;base64,',
}

async function panel(mine: object, answers: Record<string, unknown> = {}) {
  const asked = serving({
    [`GET ${ADDRESS}`]: mine,
    [`POST ${ADDRESS}/secret`]: OFFERED,
    [`PUT ${ADDRESS}`]: { recoveryCodes: ['AAAA-BBBB', 'CCCC-DDDD'] },
    ...answers,
  })
  const wrapper = await shown(SecondFactorPanel, {})
  return { wrapper, asked }
}

async function submit(wrapper: Awaited<ReturnType<typeof panel>>['wrapper'], field: string) {
  await wrapper.find(field).setValue('what was typed')
  await wrapper.find('form').trigger('submit')
  await flushPromises()
}

it('is set up with the password, a device and its code, and tells the recovery codes once', async () => {
  const { wrapper, asked } = await panel(NONE)
  await submit(wrapper, '#factor-password')
  expect(wrapper.find('img').attributes('src')).toBe(OFFERED.picture)
  expect(wrapper.text()).toContain('ABCD EFGH')
  await submit(wrapper, '#factor-code')
  expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ code: 'what was typed' })
  expect(wrapper.text()).toContain('AAAA-BBBB')
  expect(wrapper.emitted('setUp')).toBeUndefined()
  await button(wrapper, 'I have written them down').trigger('click')
  await flushPromises()
  expect(wrapper.emitted('setUp')).toHaveLength(1)
  expect(wrapper.text()).not.toContain('AAAA-BBBB')
})

it('keeps the square on the page where the code is refused', async () => {
  const refused = new Refusal(422, 'This is not the code of now.')
  const { wrapper } = await panel(NONE, { [`PUT ${ADDRESS}`]: refused })
  await submit(wrapper, '#factor-password')
  await submit(wrapper, '#factor-code')
  expect(wrapper.text()).toContain('This is not the code of now.')
  expect(wrapper.find('img').exists()).toBe(true)
})

it('tells how many recovery codes are left, and is not removed where it is asked for', async () => {
  const free = await panel(IN_USE)
  expect(free.wrapper.text()).toContain('1 recovery code is left')
  expect(free.wrapper.text()).toContain('Remove it')
  const asked = await panel({ ...IN_USE, demanded: 'EITHER' })
  expect(asked.wrapper.text()).not.toContain('Remove it')
})
