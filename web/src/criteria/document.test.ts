import { describe, expect, it } from 'vitest'
import {
  addCriterion,
  changeCriterion,
  criteriaOf,
  emptyDocument,
  firstFree,
  moveCriterion,
  neighbour,
  putTermSet,
  removeCriterion,
  slug,
  termSetsOf,
  withKey,
  type CriteriaDocument,
} from './document'

const ids = (document: CriteriaDocument) => ({
  include: criteriaOf(document, 'INCLUDE').map((one) => one.id),
  exclude: criteriaOf(document, 'EXCLUDE').map((one) => one.id),
  shouldHave: criteriaOf(document, 'SHOULD_HAVE').map((one) => one.id),
})

function three(): CriteriaDocument {
  let document = addCriterion(emptyDocument(), 'INCLUDE', { age: { from: 18 } }, 'age')
  document = addCriterion(document, 'INCLUDE', { age: { from: 21 } }, 'age')
  return addCriterion(document, 'SHOULD_HAVE', { events: {} }, 'records')
}

describe('a criteria document', () => {
  it('gives each new criterion an id of its own and leaves the old document as it was', () => {
    const before = emptyDocument()
    const after = three()
    expect(ids(after)).toEqual({ include: ['age', 'age-2'], exclude: [], shouldHave: ['records'] })
    expect(after.shouldHave).toMatchObject({ rule: 'any' })
    expect(before.include).toEqual([])
  })

  it('drops the should-have section with its last criterion', () => {
    const document = removeCriterion(three(), { section: 'SHOULD_HAVE', index: 0 })
    expect(document).not.toHaveProperty('shouldHave')
  })

  it('moves a criterion within its section and into another, keeping the rule', () => {
    const within = moveCriterion(
      three(),
      { section: 'INCLUDE', index: 0 },
      { section: 'INCLUDE', index: 1 },
    )
    expect(ids(within).include).toEqual(['age-2', 'age'])
    const all = { ...three(), shouldHave: { rule: 'all', of: criteriaOf(three(), 'SHOULD_HAVE') } }
    const across = moveCriterion(
      all,
      { section: 'INCLUDE', index: 1 },
      { section: 'SHOULD_HAVE', index: 0 },
    )
    expect(ids(across).shouldHave).toEqual(['age-2', 'records'])
    expect(across.shouldHave).toMatchObject({ rule: 'all' })
    const gone = { section: 'INCLUDE' as const, index: 9 }
    expect(moveCriterion(all, gone, { section: 'EXCLUDE', index: 0 })).toBe(all)
  })

  it('knows the next place up and down, over the edges of sections', () => {
    const document = three()
    expect(neighbour(document, { section: 'INCLUDE', index: 1 }, 1)).toEqual({
      section: 'EXCLUDE',
      index: 0,
    })
    expect(neighbour(document, { section: 'SHOULD_HAVE', index: 0 }, -1)).toEqual({
      section: 'EXCLUDE',
      index: 0,
    })
    expect(neighbour(document, { section: 'INCLUDE', index: 0 }, -1)).toBeUndefined()
    expect(neighbour(document, { section: 'SHOULD_HAVE', index: 0 }, 1)).toBeUndefined()
  })

  it('changes one criterion and no other', () => {
    const changed = changeCriterion(three(), { section: 'INCLUDE', index: 1 }, (one) => ({
      ...one,
      off: true,
    }))
    expect(criteriaOf(changed, 'INCLUDE').map((one) => one.off)).toEqual([undefined, true])
  })

  it('adds a term set, or replaces the one of its id', () => {
    const once = putTermSet(emptyDocument(), { id: 't', name: 'One', members: [] })
    const again = putTermSet(once, { id: 't', name: 'Other', members: [{ code: 'A' }] })
    expect(termSetsOf(again)).toEqual([{ id: 't', name: 'Other', members: [{ code: 'A' }] }])
  })

  it('makes ids of names', () => {
    expect(slug(' Hearing check, due! ')).toBe('hearing-check-due')
    expect(slug('Évaluation')).toBe('evaluation')
    expect(slug('…')).toBe('')
    expect(firstFree('a', new Set(['a', 'a-2']))).toBe('a-3')
  })

  it('leaves out a key whose value is undefined', () => {
    expect(withKey({ a: 1, b: 2 }, 'a', undefined)).toEqual({ b: 2 })
  })
})
