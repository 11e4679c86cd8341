import { clear, serving, shown } from '@/testing'
import { afterEach, describe, expect, it, vi } from 'vitest'
import PracticePage from './PracticePage.vue'

const LOADS = [
  {
    name: 'Ines Wray',
    closed: false,
    inHand: 12,
    attemptsOfWeek: 20,
    attemptsOfFourWeeks: 61,
    lists: [
      { list: 'Kidney', due: 4, ahead: 0 },
      { list: 'Shingles', due: 1, ahead: 7 },
    ],
  },
  {
    name: 'Old Hand',
    closed: true,
    inHand: 0,
    attemptsOfWeek: 0,
    attemptsOfFourWeeks: 3,
    lists: [],
  },
]

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function practice(roles: string[], part = '', loads: object[] = LOADS) {
  serving({
    'GET /api/lists': [],
    'GET /api/region': [],
    'GET /api/workload': loads,
    'GET /api/outcomes': { revision: 1, outcomes: [] },
    'GET /api/colleagues': { colleagues: [], groups: [] },
    'GET /api/accounts': [],
    'GET /api/audit': { acts: [], entries: [], more: false },
  })
  Object.defineProperty(document, 'fonts', {
    configurable: true,
    value: { ready: Promise.resolve() },
  })
  return shown(PracticePage, { part }, { name: 'somebody', roles })
}

describe('the parts of the practice', () => {
  it.each([
    [['MANAGER'], ['Levels over time', 'Region', 'Workload', 'Audit log']],
    [
      ['COORDINATOR'],
      ['Levels over time', 'Region', 'Workload', 'Outcomes', 'Letterhead', 'Erasures'],
    ],
    [['ADMINISTRATOR'], ['Letterhead', 'Record systems', 'Accounts', 'Audit log', 'Backup']],
    [
      ['COORDINATOR', 'ADMINISTRATOR'],
      [
        'Levels over time',
        'Region',
        'Workload',
        'Outcomes',
        'Letterhead',
        'Record systems',
        'Accounts',
        'Audit log',
        'Erasures',
        'Backup',
      ],
    ],
  ])('for %j are %j', async (roles, parts) => {
    const wrapper = await practice(roles)
    const shownParts = wrapper.findAll('.one-of a').map((one) => one.text())
    expect(shownParts).toEqual(parts)
  })

  it('have addresses, and are nothing to whoever has no right to them', async () => {
    const wrapper = await practice(['MANAGER'], 'region')
    expect(wrapper.find('[aria-current=page]').attributes('href')).toBe('/practice/region')
    expect(document.title).toBe('Region – Practice – Dipstick')
    const other = await practice(['MANAGER'], 'accounts')
    expect(other.text()).toContain('There is no such part of this place for you.')
    expect(other.find('[aria-current=page]').exists()).toBe(false)
  })
})

describe('the workload', () => {
  it('says of each colleague what is in hand, what is due, and what was tried', async () => {
    const wrapper = await practice(['MANAGER'], 'workload')
    const rows = wrapper.findAll('tbody tr').map((row) =>
      row
        .findAll('td')
        .map((cell) => cell.text().replace(/\s+/g, ' '))
        .join(' | '),
    )
    expect(rows).toEqual([
      'Ines Wray | 12 | 20 | 61 | Kidney: 4 dueShingles: 1 due, 7 ahead',
      'Old Hand, closed | 0 | 0 | 3 | ',
    ])
  })

  it('says where work begins while there is none', async () => {
    const wrapper = await practice(['MANAGER'], 'workload', [])
    expect(wrapper.text()).toContain('Work begins at the desk of a list.')
  })
})
