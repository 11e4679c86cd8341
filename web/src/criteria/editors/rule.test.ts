import { describe, expect, it } from 'vitest'
import type { Json, JsonObject } from '../document'
import { groupAsJson, groupOf, ruleAsJson, ruleOf } from './rule'

describe('a rule', () => {
  it('reads back as it is written in the document', () => {
    for (const json of ['any', 'all', { atLeast: 2 }]) {
      expect(ruleAsJson(ruleOf(json))).toEqual(json)
    }
    expect(ruleOf(undefined).form).toBe('any')
  })

  it('keeps the parts of a group when its form changes', () => {
    const parts: Json[] = [{ age: { from: 18 } }]
    const groups: JsonObject[] = [{ all: parts }, { any: parts }, { atLeast: 3, of: parts }]
    for (const group of groups) {
      const { rule, parts: found } = groupOf(group)
      expect(groupAsJson(rule, found)).toEqual(group)
    }
    expect(groupAsJson({ form: 'any', number: 3 }, parts)).toEqual({ any: parts })
  })
})
