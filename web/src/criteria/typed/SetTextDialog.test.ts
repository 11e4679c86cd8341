import { button, clear, later, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { emptyDocument } from '../document'
import SetTextDialog from './SetTextDialog.vue'

const TEXT = 'Hearing check due\n\nInclude\n  aged 18 or over\n'
const DOCUMENT = { ...emptyDocument(), id: 'hearing', name: 'Hearing check due' }

let answers: Parameters<typeof serving>[0]

beforeEach(() => {
  answers = { 'GET /api/term-sets': [], 'POST /api/bench/text': { text: TEXT } }
})
afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function dialog() {
  const asked = serving(answers)
  const wrapper = await shown(SetTextDialog, { visible: false, document: DOCUMENT })
  await wrapper.setProps({ visible: true })
  await flushPromises()
  return { wrapper, asked, text: wrapper.find('textarea') }
}

describe('a set as text', () => {
  it('is used once it was changed, and stays the same set', async () => {
    answers['POST /api/bench/text/read'] = {
      mistakes: [],
      document: { ...DOCUMENT, id: 'other', name: 'Ears' },
    }
    const { wrapper, text } = await dialog()
    expect(text.element.value).toBe(TEXT)
    expect(button(wrapper, 'Use this text').attributes('disabled')).toBeDefined()
    await text.setValue(TEXT.replace('18', '21'))
    await button(wrapper, 'Use this text').trigger('click')
    await flushPromises()
    expect(wrapper.emitted('use')?.at(-1)).toEqual([{ ...DOCUMENT, name: 'Ears' }])
    expect(wrapper.emitted('update:visible')?.at(-1)).toEqual([false])
  })

  it('points at the lines that it does not understand, and takes nothing', async () => {
    const from = TEXT.indexOf('aged')
    answers['POST /api/bench/text/read'] = {
      mistakes: [{ from, to: from + 4, message: 'This says no criterion.' }],
    }
    const { wrapper, text } = await dialog()
    await text.setValue(TEXT.replace('18', 'eighteenish'))
    await button(wrapper, 'Use this text').trigger('click')
    await flushPromises()
    expect(wrapper.find('.mistakes').text()).toBe('Line 4 This says no criterion.')
    expect(wrapper.emitted('use')).toBeUndefined()
    await text.setValue(TEXT)
    expect(wrapper.find('.mistakes').exists(), 'once it is written otherwise').toBe(false)
  })

  it('that was written otherwise while it was read is not used', async () => {
    const { wrapper, text } = await dialog()
    const answer = later<Response>()
    vi.stubGlobal('fetch', () => answer.promise)
    await text.setValue('Ears')
    await button(wrapper, 'Use this text').trigger('click')
    await text.setValue('Ears again')
    answer.resolve(new Response(JSON.stringify({ mistakes: [], document: DOCUMENT })))
    await flushPromises()
    expect(wrapper.emitted('use')).toBeUndefined()
    expect(text.element.value).toBe('Ears again')
  })

  it('that cannot be written is no empty set, and one that cannot be copied is said so', async () => {
    answers['POST /api/bench/text'] = new Refusal(422, 'There is no field “shoe”.')
    const { wrapper } = await dialog()
    expect(wrapper.find('[role=alert]').text()).toBe('There is no field “shoe”.')
    expect(button(wrapper, 'Use this text').attributes('disabled')).toBeDefined()
    await button(wrapper, 'Copy').trigger('click')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toContain('did not let it be copied')
  })
})
