import { clear, later, Refusal, serving, shown, type Asked } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import LetterEditor from './LetterEditor.vue'

const TEMPLATES = [
  { name: 'Recall', language: 'en', subject: 'Your check', body: 'Dear {{name}}', revision: 4 },
  { name: 'Recall', language: 'cy', subject: 'Eich prawf', body: 'Annwyl {{name}}', revision: 1 },
]

let answers: Parameters<typeof serving>[0]

beforeEach(() => {
  answers = {
    'POST /api/lists/hearing/out/preview': ({ body }: Asked) => {
      const { subject, body: text } = body as { subject: string; body: string }
      return { subject, body: text.replace('{{name}}', 'Ada Marl') }
    },
    'PUT /api/letters/Recall/en': { ...TEMPLATES[0], revision: 5 },
    'PUT /api/letters/Recall/pl': { ...TEMPLATES[0], language: 'pl', revision: 1 },
    'DELETE /api/letters/Recall/cy': {},
  }
})
afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function editor() {
  const asked = serving(answers)
  const wrapper = await shown(LetterEditor, {
    list: 'hearing',
    example: '7',
    templates: TEMPLATES,
    fields: ['name', 'list'],
  })
  await flushPromises()
  const subject = wrapper.find<HTMLInputElement>('#letter-subject')
  const language = wrapper.find('#letter-language')
  return { wrapper, asked, subject, language }
}

describe('a letter', () => {
  it('reads as it would for a real person, and is saved from what was seen', async () => {
    const { wrapper, asked, subject } = await editor()
    await vi.waitFor(() => {
      expect(wrapper.find('.preview').text()).toContain('Dear Ada Marl')
    })
    await subject.setValue('Your hearing check')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect([put?.ifMatch, put?.body]).toEqual([
      '"4"',
      { subject: 'Your hearing check', body: 'Dear {{name}}' },
    ])
    expect(wrapper.emitted('saved')).toHaveLength(1)
  })

  it('in a language that there is not yet goes on from what stands there, as a new one', async () => {
    const { wrapper, asked, subject, language } = await editor()
    await language.setValue('pl')
    expect(subject.element.value).toBe('Your check')
    await subject.setValue('Badanie')
    await wrapper.find('#letter-body').setValue('Dzień dobry')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect([put?.path, put?.ifMatch]).toEqual(['/api/letters/Recall/pl', '"0"'])
  })

  it('keeps what is typed in one language while another is looked at', async () => {
    const { subject, language } = await editor()
    await subject.setValue('Half written')
    await language.setValue('cy')
    expect(subject.element.value).toBe('Eich prawf')
    await language.setValue('en')
    expect(subject.element.value).toBe('Half written')
  })

  it('is not said to read so where it is blank, or cannot be read', async () => {
    const { wrapper, subject } = await editor()
    await vi.waitFor(() => {
      expect(wrapper.find('.preview').exists()).toBe(true)
    })
    const answer = later<Response>()
    vi.stubGlobal('fetch', () => answer.promise)
    await subject.setValue('{{nobody}}')
    answer.resolve(
      new Response(JSON.stringify({ type: 'urn:dipstick:x', status: 422, detail: 'No field.' }), {
        status: 422,
      }),
    )
    await vi.waitFor(() => {
      expect(wrapper.find('[role=alert]').text()).toBe('No field.')
    })
    expect(wrapper.find('.preview').exists()).toBe(false)
    await subject.setValue(' ')
    await wrapper.find('#letter-body').setValue('')
    await vi.waitFor(() => {
      expect(wrapper.find('[role=alert]').exists()).toBe(false)
    })
    expect(wrapper.find('.preview').exists()).toBe(false)
  })

  it('is removed in a language other than the first, or says why not', async () => {
    answers['DELETE /api/letters/Recall/cy'] = new Refusal(412, 'Somebody changed it meanwhile.')
    const { wrapper, language } = await editor()
    const remove = () =>
      wrapper.findAll('button').find((one) => one.text() === 'Remove this language')
    expect(remove()).toBeUndefined()
    await language.setValue('cy')
    await remove()?.trigger('click')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toBe('Somebody changed it meanwhile.')
    expect(wrapper.emitted('saved')).toBeUndefined()
  })
})
