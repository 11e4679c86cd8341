import type { Schemas } from '@/api/client'
import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { stepped } from './ribbon'
import RibbonStrip from './RibbonStrip.vue'

const TODAY = '2026-11-23'

const RIBBON: Schemas['Ribbon'] = {
  today: TODAY,
  months: Array.from({ length: 25 }, (_, i) => ({
    day: stepped(TODAY, { months: i - 12 }),
    list: { yes: 10 + i, unsure: 2 },
    eligible: { yes: 40, unsure: 0 },
    has: { yes: 30 - i, unsure: 0 },
    fallDue: i > 12 ? 3 : 0,
  })),
}

function ribbon(asOf: string, asksForSomething = true) {
  return mount(RibbonStrip, { props: { modelValue: asOf, ribbon: RIBBON, asksForSomething } })
}

it('is gone along by keys', async () => {
  const shown = ribbon('2026-11-30')
  const days: string[] = []
  for (const key of ['ArrowLeft', 'ArrowRight', 'PageUp', 'PageDown', 'Home']) {
    await shown.find('[role=slider]').trigger('keydown', { key })
    days.push(String(shown.emitted('update:modelValue')?.at(-1)?.[0]))
  }
  expect(days).toEqual(['2026-11-29', '2026-11-30', '2026-12-30', '2026-11-30', TODAY])
})

it('says each month to who hears the page', () => {
  const months = ribbon(TODAY).findAll('li')
  expect(months).toHaveLength(25)
  expect(ribbon(TODAY).find('[role=slider] li').exists(), 'which is not read out').toBe(false)
  expect(months[12]?.text()).toBe('23 Nov 2026: 22 on the list, 45% have it')
  expect(months[13]?.text()).toContain('3 fall due in the month before')
  expect(ribbon(TODAY, false).findAll('li')[12]?.text()).toBe('23 Nov 2026: 22 on the list')
})
