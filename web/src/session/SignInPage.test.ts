import { clear, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import SignInPage from './SignInPage.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const NOBODY = { practice: '', today: '2026-11-27', zone: 'UTC', firstAccountNeeded: false }

it('asks for a code only once the password was right, and again where it was wrong', async () => {
  const types = ['sign-in-refused', 'code-wanted', 'code-refused']
  const tried: URLSearchParams[] = []
  vi.stubGlobal('fetch', (path: string, options: RequestInit = {}) => {
    if (path === '/api/session') {
      return Promise.resolve(Response.json(NOBODY))
    }
    tried.push(options.body as URLSearchParams)
    const type = types.shift()
    return Promise.resolve(
      type
        ? Response.json({ type: `urn:dipstick:${type}`, detail: type }, { status: 401 })
        : new Response(null, { status: 204 }),
    )
  })
  const wrapper = await shown(SignInPage, {})
  await wrapper.find('#name').setValue('orla')
  await wrapper.find('#password').setValue('a long password')
  const submit = async () => {
    await wrapper.find('form').trigger('submit')
    await flushPromises()
  }
  await submit()
  expect(wrapper.find('#code').exists()).toBe(false)
  await submit()
  expect(wrapper.text()).toContain('code-wanted')
  await wrapper.find('#code').setValue('123456')
  await submit()
  expect((wrapper.find('#code').element as HTMLInputElement).value).toBe('')
  await wrapper.find('#code').setValue('654321')
  await submit()
  expect(tried.map((one) => one.get('code'))).toEqual(['', '', '123456', '654321'])
})
