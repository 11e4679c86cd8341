import { button, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import BackupPanel from './BackupPanel.vue'

afterEach(() => {
  vi.unstubAllGlobals()
})

const NONE = {
  backups: [],
  keep: 14,
  folder: '/data/backups',
  warning: 'There is no backup yet. What is lost now cannot be brought back.',
}
const ONE = {
  ...NONE,
  warning: '',
  backups: [
    { file: 'dipstick-2026-11-27-023000.zip', bytes: 32_366_974, at: '2026-11-27T02:30:00Z' },
  ],
}

it('warns where there is none, and shows the one that was taken', async () => {
  serving({ 'GET /api/backups': NONE, 'POST /api/backups': ONE })
  const panel = await shown(BackupPanel, {})
  expect(panel.text()).toContain('There is no backup yet')
  await button(panel, 'Back up now').trigger('click')
  await flushPromises()
  expect(panel.text()).not.toContain('There is no backup yet')
  expect(panel.find('tbody').text()).toContain('dipstick-2026-11-27-023000.zip33')
})

it('keeps what is there where one more cannot be written', async () => {
  const refused = new Refusal(503, 'The backup could not be written to /data/backups.')
  serving({ 'GET /api/backups': ONE, 'POST /api/backups': refused })
  const panel = await shown(BackupPanel, {})
  await button(panel, 'Back up now').trigger('click')
  await flushPromises()
  expect(panel.text()).toContain('could not be written')
  expect(panel.find('tbody').exists()).toBe(true)
})
