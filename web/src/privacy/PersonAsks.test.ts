import { clear, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import PersonAsks from './PersonAsks.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function asked(button: string, answer: () => Response) {
  const sent: { path: string; body: Record<string, unknown> }[] = []
  vi.stubGlobal('fetch', (path: string, options: RequestInit = {}) => {
    sent.push({ path, body: JSON.parse(String(options.body)) as Record<string, unknown> })
    return Promise.resolve(answer())
  })
  const wrapper = await shown(PersonAsks, { person: 'Q 71' })
  const press = async (label: string) => {
    await wrapper
      .findAll('button')
      .find((one) => one.text() === label)
      ?.trigger('click')
    await flushPromises()
  }
  await press(button)
  return { wrapper, sent, press }
}

it('erases only once who asked, why and the number are typed, and says what was refused', async () => {
  let refused = true
  const { wrapper, sent, press } = await asked('Erase them', () =>
    refused
      ? Response.json({ type: 'urn:dipstick:x', detail: 'Nobody was erased.' }, { status: 409 })
      : new Response(null, { status: 204 }),
  )
  await press('the person')
  await wrapper.find('#asked-why').setValue('moved abroad')
  await wrapper.find('#asked-typed').setValue('Q 7')
  const button = wrapper.findAll('button').find((one) => one.text() === 'Erase for good')
  expect(button?.attributes('disabled')).toBeDefined()
  await wrapper.find('#asked-typed').setValue(' Q 71 ')
  expect(button?.attributes('disabled')).toBeUndefined()
  await wrapper.find('form').trigger('submit')
  await flushPromises()
  expect(wrapper.find('[role=alert]').text()).toContain('Nobody was erased.')
  expect(wrapper.emitted('erased')).toBeUndefined()
  refused = false
  await wrapper.find('form').trigger('submit')
  await flushPromises()
  expect(sent.at(-1)).toEqual({
    path: '/api/people/Q%2071/erasure',
    body: { person: 'Q 71', asked: { askedBy: 'the person', why: 'moved abroad' } },
  })
  expect(wrapper.emitted('erased')).toHaveLength(1)
})

it('hands a report over as a file, with who asked and why', async () => {
  URL.createObjectURL = () => 'blob:x'
  URL.revokeObjectURL = () => undefined
  const { wrapper, sent, press } = await asked('All that is held of them', () => new Response('{}'))
  await wrapper.find('#asked-by').setValue('the person')
  await press('Take it as PDF')
  expect(sent).toHaveLength(0)
  await wrapper.find('#asked-why').setValue('wants to know')
  await press('Take it as JSON')
  expect(sent).toEqual([
    {
      path: '/api/people/Q%2071/report',
      body: { format: 'JSON', asked: { askedBy: 'the person', why: 'wants to know' } },
    },
  ])
})
