import { useKeys } from '@/keys'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { ACTS, useDeskKeys } from './deskKeys'

beforeEach(() => {
  setActivePinia(createPinia())
})
afterEach(() => {
  localStorage.clear()
})

describe('the keys of the desk', () => {
  it('do one thing each', () => {
    expect(new Set(ACTS.map((one) => one.key)).size).toBe(ACTS.length)
  })

  it('may be others, which their buttons say, and as they were again', () => {
    const keys = useDeskKeys()
    expect(keys.change('excuse', 'Q')).toBeUndefined()
    expect(keys.actOf('q')).toBe('excuse')
    expect(keys.actOf('e')).toBeUndefined()
    expect(keys.named('Excuse…', 'excuse')).toBe('Excuse… (q)')
    keys.asAtFirst()
    expect(keys.actOf('e')).toBe('excuse')
  })

  it.each([
    ['t', 't is in use already: take, or let go.'],
    ['7', '7 is in use already: logs what came of an attempt.'],
    ['?', '? is in use already: shows the keys.'],
    [' ', 'in use already: presses buttons.'],
  ])('are not changed to one that does something else: %s', (key, why) => {
    const keys = useDeskKeys()
    expect(keys.change('excuse', key)).toContain(why)
    expect(keys.actOf('e')).toBe('excuse')
  })

  it('may be given what another has given up', () => {
    const keys = useDeskKeys()
    keys.change('take', 'q')
    expect(keys.change('give', 't')).toBeUndefined()
    expect(keys.actOf('t')).toBe('give')
  })

  it('are not on the buttons where keys are switched off', () => {
    useKeys().single = false
    expect(useDeskKeys().named('Take', 'take')).toBe('Take')
  })
})
