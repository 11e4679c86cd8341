import { describe, expect, it } from 'vitest'
import { shallowRef } from 'vue'
import { criteriaOf, type CriteriaDocument } from './document'
import { useSentences } from './useSentences'

const SET: CriteriaDocument = {
  format: 'dipstick-criteria/1',
  id: 'kidney',
  name: 'Kidney',
  include: [
    { id: 'a', test: { field: 'site', is: 'Mill Lane' } },
    { id: 'b', test: { not: { field: 'status', is: 'moved' } }, label: 'Here' },
  ],
  exclude: [],
  show: [{ criterion: 'a' }],
} as unknown as CriteriaDocument

function sentences(nameable?: CriteriaDocument) {
  const document = shallowRef(SET)
  const keys: (string | undefined)[] = []
  const acts = useSentences(
    () => document.value,
    () => nameable ?? document.value,
    (next, key) => {
      document.value = next
      keys.push(key)
    },
  )
  return { acts, document, keys }
}

const A = { section: 'INCLUDE', index: 0 } as const
const B = { section: 'INCLUDE', index: 1 } as const

describe('the sentences of a sheet', () => {
  it('are found where they are', () => {
    const { acts } = sentences()
    expect(acts.placeOf('b')).toEqual(B)
    expect(acts.placeOf('nobody')).toBeUndefined()
  })

  it('are turned round and back again', () => {
    const { acts, document } = sentences()
    acts.act(A, 'not')
    expect(criteriaOf(document.value, 'INCLUDE')[0]?.test).toEqual({
      not: { field: 'site', is: 'Mill Lane' },
    })
    acts.act(A, 'not')
    expect(document.value).toEqual(SET)
  })

  it('are switched off and on, which leaves no trace', () => {
    const { acts, document } = sentences()
    acts.act(A, 'off')
    expect(criteriaOf(document.value, 'INCLUDE')[0]?.off).toBe(true)
    acts.act(A, 'off')
    expect(document.value).toEqual(SET)
  })

  it('are copied under another id, and removed with the columns that tell of them', () => {
    const { acts, document } = sentences()
    acts.act(A, 'copy')
    const ids = criteriaOf(document.value, 'INCLUDE').map((one) => one.id)
    expect(new Set(ids).size).toBe(3)
    acts.act(A, 'remove')
    expect(criteriaOf(document.value, 'INCLUDE').map((one) => one.id)).not.toContain('a')
    expect(JSON.stringify(document.value)).not.toContain('"criterion":"a"')
  })

  it('say what they count as, and go by a label, whose changes are undone together', () => {
    const { acts, document, keys } = sentences()
    acts.settle(B, 'meets')
    acts.settle(B, 'ask')
    expect(document.value).toEqual(SET)
    acts.relabel(B, '')
    expect(criteriaOf(document.value, 'INCLUDE')[1]).not.toHaveProperty('label')
    expect(keys.at(-1)).toBe('b label')
  })

  it('that are typed bring the shared term sets that they name', () => {
    const shared = {
      ...SET,
      termSets: [
        { id: 'bloods', name: 'bloods', terms: [] },
        { id: 'other', name: 'other', terms: [] },
      ],
    } as unknown as CriteriaDocument
    const { acts, document } = sentences(shared)
    acts.addTyped('INCLUDE', { events: { terms: ['bloods'] } }, [], 'had bloods')
    expect(JSON.stringify(document.value)).toContain('"id":"bloods"')
    expect(JSON.stringify(document.value)).not.toContain('"id":"other"')
  })

  it('that are several are as many criteria where they include, and one elsewhere', () => {
    const test = {
      all: [
        { field: 'site', is: 'A' },
        { field: 'site', is: 'B' },
      ],
    }
    const include = sentences()
    include.acts.addTyped('INCLUDE', test, [], 'site is A and site is B')
    expect(criteriaOf(include.document.value, 'INCLUDE')).toHaveLength(4)
    const exclude = sentences()
    exclude.acts.addTyped('EXCLUDE', test, [], 'site is A and site is B')
    expect(criteriaOf(exclude.document.value, 'EXCLUDE')).toHaveLength(1)
  })
})
