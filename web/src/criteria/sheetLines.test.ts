import type { Schemas } from '@/api/client'
import { describe, expect, it } from 'vitest'
import type { CriteriaDocument } from './document'
import { useSheetLines } from './useSheetLines'

const DOCUMENT = {
  format: 'dipstick-criteria/1',
  id: 'half',
  name: 'Half',
  include: [
    { id: 'odd', test: { field: 'phone', exists: true } },
    { id: 'adult', test: { age: { from: 18 } } },
  ],
} as unknown as CriteriaDocument

const FINDING = { document: '', pointer: '/include/0/test/exists', message: 'not known here' }

function said(id: string, typed: string): Schemas['LineSaid'] {
  return { id, typed, sentence: { pointer: '', phrases: [], parts: [] } }
}

function lines(levels: Schemas['Levels'] | undefined, of: Schemas['LineSaid'][]) {
  const { sections } = useSheetLines(() => ({
    document: DOCUMENT,
    levels,
    before: undefined,
    findings: [FINDING],
    said: of,
  }))
  return sections.value[0]?.criteria ?? []
}

describe('the lines of a set with a mistake', () => {
  it('say what they say, and have no numbers where there were none', () => {
    const [odd, adult] = lines(undefined, [said('adult', 'aged 18 or over')])
    expect(odd?.level).toBeUndefined()
    expect(odd?.findings).toEqual(['not known here'])
    expect(adult?.level).toMatchObject({ typed: 'aged 18 or over', section: 'INCLUDE', index: 1 })
    expect(adult?.level?.left).toBeUndefined()
    expect(adult?.findings).toEqual([])
  })

  it('say what they say now beside the numbers of before', () => {
    const level = { id: 'adult', typed: 'aged 21 or over', left: { yes: 7, unsure: 1 } }
    const levels = { criteria: [level] } as unknown as Schemas['Levels']
    const [, adult] = lines(levels, [said('adult', 'aged 18 or over')])
    expect(adult?.level).toMatchObject({ typed: 'aged 18 or over', left: { yes: 7, unsure: 1 } })
  })
})
