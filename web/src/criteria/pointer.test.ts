import { describe, expect, it } from 'vitest'
import type { JsonObject } from './document'
import { getAt, setAt } from './pointer'

const json: JsonObject = { any: [{ age: { from: 18 } }, { 'a/b': { '~': 1 } }] }

describe('a JSON Pointer', () => {
  it('finds the whole, a part, an item and an escaped key', () => {
    expect(getAt(json, '')).toBe(json)
    expect(getAt(json, '/any/0/age/from')).toBe(18)
    expect(getAt(json, '/any/1/a~1b/~0')).toBe(1)
    expect(getAt(json, '/all/0')).toBeUndefined()
  })

  it('puts a value without changing what was there', () => {
    const changed = setAt(json, '/any/0/age', { through: 5 })
    expect(getAt(changed, '/any/0/age')).toEqual({ through: 5 })
    expect(getAt(json, '/any/0')).toEqual({ age: { from: 18 } })
    expect(setAt(json, '', 3)).toBe(3)
  })

  it('takes out an item or a key whose value is undefined', () => {
    expect(setAt(json, '/any/0', undefined)).toEqual({ any: [{ 'a/b': { '~': 1 } }] })
    expect(setAt({ a: 1, b: 2 }, '/a', undefined)).toEqual({ b: 2 })
  })
})
