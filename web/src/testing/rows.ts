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
    said: 'No check on record.',
    open: true,
    held: false,
    nextStep: 'CALL',
    nextOn: '2026-11-01',
    alsoOn: [],
    beyondTop: false,
    shown: {},
    ...is,
  }
}

/** Somebody at the desk as somebody about whom something is done. */
export function markOf(row: DeskRow): Schemas['Marked'] {
  return {
    person: row.person.id,
    revision: row.revision,
    standing: row.standing,
    mine: row.inHand?.mine ?? false,
  }
}
