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
    const whole = { readings: [], mended: [], understood: '', ...answer(body) }
    return Promise.resolve(new Response(JSON.stringify(whole)))
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

function said(from: number, yes: number) {
  const words = `aged ${from} or over`
  return { test: { age: { from } }, words, sentence: words, alone: { yes, unsure: 0 } }
}

describe('a typed criterion', () => {
  it('that may mean two things is none until one is chosen', async () => {
    answer = () => ({ sentence: '', offers: [], readings: [said(65, 9), said(66, 8)] })
    const { line, input, type, press } = typing()
    await type('over 65')
    expect(line.find('[role=status]').text()).toContain('This may mean two things')
    expect(line.findAll('[role=option]').map((one) => one.text())).toEqual([
      'aged 65 or over9',
      'aged 66 or over8',
    ])
    await press('Enter')
    expect(line.emitted('add')).toBeUndefined()
    await press('ArrowDown')
    await press('ArrowDown')
    await press('Enter')
    expect(line.emitted('add')).toEqual([[{ age: { from: 66 } }, [], 'over 65']])
    expect(input.element.value).toBe('')
  })

  it('that is not understood says what was, and offers what may be meant, with its term set', async () => {
    const termSet = { id: 'hba', name: 'hba', members: [{ code: 'H' }] }
    answer = () => ({
      sentence: '',
      offers: [],
      mistake: { from: 0, to: 3, message: 'No kind.' },
      understood: 'aged 65 or over',
      mended: [{ ...said(65, 9), termSet }],
    })
    const { line, type, press } = typing()
    await type('hba over 65')
    expect(line.find('[role=status]').text()).toContain('Understood so far: aged 65 or over.')
    expect(line.find('[role=option]').text()).toContain('new term set of 1 on record')
    await press('Enter')
    expect(line.emitted('add')).toBeUndefined()
    await press('ArrowDown')
    await press('Enter')
    expect(line.emitted('add')).toEqual([[{ age: { from: 65 } }, [termSet], 'hba over 65']])
  })

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

  it('takes the only suggestion while it cannot be read otherwise', async () => {
    answer = ({ typed }) =>
      typed === 'aged 50 o'
        ? {
            sentence: '',
            mistake: { from: 8, to: 9, message: '“o” does not fit here.' },
            offers: [{ from: 8, words: 'or over', what: 'WORDS', says: '', members: [] }],
          }
        : FITS
    const { line, input, type, press } = typing()
    await type('aged 50 o')
    expect(line.find('[aria-selected=true]').exists()).toBe(false)
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
              {
                from: 3,
                words: 'Hearing check',
                what: 'TERM',
                says: 'wording',
                count: 4,
                members: [member],
              },
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

  it('takes no suggestion that was not chosen where there are several', async () => {
    const offer = (words: string) => ({
      from: 3,
      words,
      what: 'TERM',
      says: 'wording',
      members: [{ text: words }],
    })
    answer = ({ typed }) =>
      typed === 'no crea'
        ? {
            sentence: '',
            mistake: { from: 3, to: 7, message: 'No kind.' },
            offers: [offer('Creatinine'), offer('Creatine kinase')],
          }
        : FITS
    const { line, input, type, press } = typing()
    await type('no crea')
    expect(line.text()).toContain('choose one of these')
    await press('Enter')
    expect(input.element.value).toBe('no crea')
    expect(line.emitted('add')).toBeUndefined()
    await press('ArrowDown')
    await press('ArrowDown')
    await press('Enter')
    expect(input.element.value).toBe('no “Creatine kinase” '.replaceAll(/[“”]/g, ''))
  })

  it('takes what was typed where that can be read, whatever is suggested', async () => {
    const offers = [{ from: 0, words: 'visit in asthma', what: 'WORDS', says: '', members: [] }]
    answer = () => ({ ...FITS, offers })
    const { line, type, press } = typing()
    await type('visit')
    await press('Enter')
    expect(line.emitted('add')?.[0]?.[2]).toBe('visit')
  })

  it('takes nothing that belongs to what was typed before', async () => {
    answer = () => FITS
    const { line, input, type, press } = typing()
    await type('aged 50 or over')
    input.element.value = 'aged 50 or over, or'
    const entered = press('Enter')
    await input.setValue('aged 50 or over, or not')
    await entered
    expect(line.emitted('add')).toBeUndefined()
  })

  it('takes a lack of what should be on record the other way round, unless one insists', async () => {
    const meant = {
      test: { events: {} },
      words: 'had a visit',
      sentence: 'had a visit at any time',
      alone: { yes: 4, unsure: 0 },
    }
    answer = () => ({ ...FITS, meant })
    const { line, input, type, press } = typing()
    await type('no visit')
    expect(line.find('[role=status]').text()).toContain(
      'Enter adds: had a visit at any time; those without are listed. Alone: yes for 4.',
    )
    await press('Enter')
    expect(line.emitted('add')).toEqual([[{ events: {} }, [], 'had a visit']])
    await type('no visit')
    await input.trigger('keydown', { key: 'Enter', altKey: true })
    await flushPromises()
    expect(line.emitted('add')?.[1]).toEqual([FITS.test, [], 'no visit'])
  })
})
