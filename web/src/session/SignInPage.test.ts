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

const SERVICE = { label: 'Alder Lane sign-in', begins: '/api/sign-in/openid/service', alone: true }

async function pageWith(service: object, address: string) {
  vi.stubGlobal('fetch', () => Promise.resolve(Response.json({ ...NOBODY, service })))
  vi.stubGlobal('location', { search: address, pathname: '/lists/7', hash: '', assign: vi.fn() })
  const wrapper = await shown(SignInPage, {})
  const { useSession } = await import('./session')
  await useSession().reload()
  await flushPromises()
  return wrapper
}

it('goes to the sign-in service, and remembers where somebody wanted to be', async () => {
  const wrapper = await pageWith(SERVICE, '')
  expect(wrapper.find('#password').exists()).toBe(false)
  await wrapper.find('button.wide').trigger('click')
  expect(location.assign).toHaveBeenCalledWith(SERVICE.begins)
  const { whereToGoOn } = await import('./signInService')
  expect(whereToGoOn()).toBe('/lists/7')
  expect(whereToGoOn()).toBe('')
})

it('says why the service let nobody in, and shows the form for the emergency account when asked', async () => {
  const wrapper = await pageWith(SERVICE, '?refused=no-role')
  expect(wrapper.find('[role=alert]').text()).toContain('no role that you have here')
  await wrapper.find('button.word').trigger('click')
  expect(wrapper.find('#password').exists()).toBe(true)
})

it('shows both ways where accounts are kept here too, and a sentence for a word it does not know', async () => {
  const wrapper = await pageWith({ ...SERVICE, alone: false }, '?refused=<b>x</b>')
  expect(wrapper.find('#password').exists()).toBe(true)
  expect(wrapper.find('[role=alert]').text()).toBe(
    'The sign-in service did not let you in. Try again.',
  )
})
