import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { emptyDocument } from '../document'
import TypedLine from './TypedLine.vue'

type Asked = { typed: string; document: object }

let answer: (asked: Asked) => object
let asked: Asked[]

beforeEach(() => {
  asked = []
  vi.stubGlobal('fetch', (_path: string, options: RequestInit) => {
    const body = JSON.parse(options.body as string) as Asked
    asked.push(body)
    return Promise.resolve(new Response(JSON.stringify(answer(body))))
  })
})
afterEach(() => {
  vi.unstubAllGlobals()
})

function typing() {
  const line = mount(TypedLine, {
    props: { document: emptyDocument(), asOf: '2026-11-23', label: 'Type here', example: 'aged 5' },
    attachTo: document.body,
  })
  const input = line.find<HTMLInputElement>('input')
  const type = async (text: string) => {
    await input.setValue(text)
    await flushPromises()
  }
  const press = async (key: string) => {
    await input.trigger('keydown', { key })
    await flushPromises()
  }
  return { line, input, type, press }
}

const FITS = {
  test: { age: { from: 50 } },
  sentence: 'aged 50 or over',
  alone: { yes: 7, unsure: 1 },
  offers: [],
}

describe('a typed criterion', () => {
  it('is added by Enter once it fits', async () => {
    answer = () => FITS
    const { line, input, type, press } = typing()
    await type('aged 50 or over')
    expect(line.find('[role=status]').text()).toBe(
      'Enter adds: aged 50 or over. Alone: yes for 7, can’t tell for 1.',
    )
    await press('Enter')
    expect(line.emitted('add')).toEqual([[{ age: { from: 50 } }, [], 'aged 50 or over']])
    expect(input.element.value).toBe('')
  })

  it('takes the first suggestion while it is not finished', async () => {
    answer = ({ typed }) =>
      typed === 'aged 50 o'
        ? {
            sentence: '',
            mistake: { from: 8, to: 9, message: '“o” does not fit here.' },
            offers: [{ from: 8, words: 'or over', what: 'WORDS', says: '' }],
          }
        : FITS
    const { line, input, type, press } = typing()
    await type('aged 50 o')
    expect(line.find('[aria-selected=true]').text()).toContain('or over')
    await press('Enter')
    expect(input.element.value).toBe('aged 50 or over ')
    expect(line.emitted('add')).toBeUndefined()
    await press('Enter')
    expect(line.emitted('add')).toHaveLength(1)
  })

  it('points at a mistake, and is not added', async () => {
    answer = () => ({
      sentence: '',
      mistake: { from: 5, to: 10, message: '“fifty” does not fit here.' },
      offers: [],
    })
    const { line, input, type, press } = typing()
    await type('aged fifty or over')
    expect(line.text()).toContain('“fifty” does not fit here.')
    expect(line.find('mark').text()).toBe('fifty')
    expect(input.attributes('aria-invalid')).toBe('true')
    await press('Enter')
    expect(line.emitted('add')).toBeUndefined()
    expect(input.element.value).toBe('aged fifty or over')
  })

  it('brings the term set of a suggested term along', async () => {
    const member = { text: 'Hearing check' }
    answer = ({ typed }) =>
      typed === 'no hea'
        ? {
            sentence: '',
            mistake: { from: 3, to: 6, message: 'No kind.' },
            offers: [
              { from: 3, words: 'Hearing check', what: 'TERM', says: 'wording', count: 4, member },
            ],
          }
        : FITS
    const { line, type, press } = typing()
    await type('no hea')
    await line.find('[role=option]').trigger('mousedown')
    await flushPromises()
    const termSet = { id: 'hearing-check', name: 'Hearing check', members: [member] }
    expect(asked.at(-1)).toMatchObject({
      typed: 'no Hearing check ',
      document: { termSets: [termSet] },
    })
    await press('Enter')
    expect(line.emitted('add')).toEqual([[FITS.test, [termSet], 'no Hearing check']])
  })
})
