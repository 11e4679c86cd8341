import { deskRow } from '@/testing/rows'
import { describe, expect, it } from 'vitest'
import { toDo } from './first'

const NOTHING = { followUps: [], joined: [], handedOver: [] }
const { person } = deskRow('Marl')
const due = (on: string) => ({ person, set: 'a/b', list: 'Kidney', step: 'CALL' as const, on })
const mention = (not?: string) => ({
  set: 'kidney',
  list: 'Kidney',
  why: 'No result.',
  prompt: false,
  say: '',
  ...(not && { not }),
})
const comes = (on: string, not?: string) => ({
  person,
  on,
  provider: '',
  site: '',
  mention: [mention(not)],
})
type Coming = Parameters<typeof toDo>[1]

describe('what to do first', () => {
  it('is what was promised, then what was given, who comes in, and who is new', () => {
    const all = toDo(
      {
        followUps: [due('2026-11-20'), due('2026-11-25')],
        handedOver: [{ person, set: 'kidney', list: 'Kidney', words: 'from Ines Wray' }],
        joined: [{ set: 'hearing', list: 'Hearing', people: 1200 }],
      },
      [comes('2026-11-26')] as unknown as Coming,
      '2026-11-26',
    )
    expect(all.map((one) => one.words)).toEqual([
      '2 follow-ups are due, the first since 20 Nov 2026',
      '1 person handed over to you',
      '1 person to be spoken to, coming in today',
      '1,200 people new on Hearing',
    ])
    expect(all[0]?.to).toEqual({ path: '/lists/a%2Fb', query: { person: 'Marl' } })
    expect(all[3]?.to).toEqual({ path: '/lists/hearing', query: { queue: 'joined' } })
  })

  it('leaves out who comes another day, or is not to be spoken to', () => {
    const coming = [comes('2026-11-27'), comes('2026-11-26', 'Excused.')] as unknown as Coming
    expect(toDo(NOTHING, coming, '2026-11-26')).toEqual([])
  })

  it('is nothing of what is not known yet', () => {
    expect(toDo(NOTHING, undefined, '2026-11-26')).toEqual([])
  })
})
