import type { Schemas } from '@/api/client'

type DeskRow = Schemas['DeskRow']

/** Fields of people that a set shows. */
export function shownFields(...names: string[]): Schemas['ShownColumn'][] {
  return names.map((name) => ({ name, ofCriterion: false }))
}

/** Somebody at the desk, as far as nothing else is said. */
export function deskRow(id: string, is: Partial<DeskRow> = {}): DeskRow {
  return {
    person: {
      id,
      name: `${id}, Ada`,
      born: '3 Feb 1950',
      age: '76',
      phone: '01632 960001',
      provider: 'Dr Quillon',
      site: 'Mill Lane',
      doNotContact: false,
    },
    language: 'en',
    contactBy: '',
    revision: 1,
    standing: 'ON',
    state: 'TO_CONTACT',
    due: '2026-01-01',
    band: 'Late',
    joinedOn: '2026-11-01',
    changedOn: '2026-11-01',
    why: 'No check on record.',
    nextStep: 'CALL',
    nextOn: '2026-11-01',
    alsoOn: [],
    beyondTop: false,
    shown: {},
    ...is,
  }
}
