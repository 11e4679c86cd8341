import { expect, it } from 'vitest'
import { needsReason, USUAL_COLUMNS } from './takeOut'

it('asks for a reason where it says how to reach people', () => {
  expect(needsReason('XLSX', USUAL_COLUMNS)).toBe(false)
  expect(needsReason('CSV', [...USUAL_COLUMNS, 'MOBILE'])).toBe(true)
  expect(needsReason('CALL_SHEET', [])).toBe(true)
  expect(needsReason('MAIL', [])).toBe(true)
})
