import { expect, it } from 'vitest'
import { dialsOf, planWords, settingsOf, type Plan } from './readingPlan'

const DAILY: Plan = {
  every: 'DAY',
  dayOfWeek: 'MONDAY',
  dayOfMonth: 1,
  at: '06:00',
  dials: [] as unknown as Plan['dials'],
  values: {},
  turned: {},
  revision: 0,
}

it('says when a list is read, and with which dials', () => {
  expect(planWords(DAILY)).toBe('Read every day at 06:00.')
  expect(planWords({ ...DAILY, every: 'WEEK', dayOfWeek: 'FRIDAY', at: '18:30' })).toBe(
    'Read every Friday at 18:30.',
  )
  const monthly: Plan = { ...DAILY, every: 'MONTH' }
  const days = [1, 2, 3, 4, 11, 12, 13, 21, 22, 31].map(
    (dayOfMonth) => /the (\S+)/.exec(planWords({ ...monthly, dayOfMonth }))?.[1],
  )
  expect(days).toEqual('1st 2nd 3rd 4th 11th 12th 13th 21st 22nd 31st'.split(' '))
  expect(planWords({ ...DAILY, every: 'NEVER', turned: { every: 'P6M' } })).toBe(
    'Not read by itself, with every at P6M.',
  )
})

it('leaves dials as the set has them where nothing is typed', () => {
  expect(settingsOf({ every: 'P6M', site: '  ' })).toEqual({ every: 'P6M' })
  expect(dialsOf(undefined)).toEqual([])
  expect(dialsOf(DAILY)).toEqual([])
})
