import type { Schemas } from '@/api/client'
import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { expect, it } from 'vitest'
import CriterionLine from './CriterionLine.vue'
import type { Doubt } from './doubts'

function line(...doubts: Doubt[]) {
  const level: Schemas['CriterionLevel'] = {
    section: 'INCLUDE',
    index: 0,
    id: 'aged',
    off: false,
    sentence: {
      pointer: '',
      phrases: [{ text: '18 or over', control: 'AGE', pointer: '' }],
      parts: [],
    },
    alone: { yes: 5, unsure: 1 },
    left: { yes: 5, unsure: 1 },
    fell: 0,
    doubts,
  }
  return mount(CriterionLine, {
    props: {
      criterion: { id: 'aged', test: { age: { from: 18 } } },
      level,
      before: undefined,
      people: 10,
      findings: [],
    },
    global: { plugins: [PrimeVue] },
  })
}

it('says what looks wrong, each with a way to mend it', async () => {
  const shown = line(
    { kind: 'REMOVES_NOBODY', message: 'It removes nobody.', subject: '' },
    { kind: 'UNUSED_TERMS', message: 'Never recorded.', subject: 'lithium' },
    { kind: 'MANY_UNSURE', message: "Of 1 of 6 we can't tell.", subject: '' },
  )
  const mends = shown.findAll('.doubt .word')
  expect(mends.map((one) => one.text())).toEqual(['Switch it off', 'Open the term set', 'See them'])
  for (const mend of mends) {
    await mend.trigger('click')
  }
  expect(shown.emitted('act')).toEqual([['off']])
  expect(shown.emitted('termSet')).toEqual([['lithium']])
  expect(shown.emitted('who')?.[0]).toMatchObject([{ part: 'MAYBE_LEFT', criterion: 'aged' }])
})

it('takes a label, and none when it is blank', async () => {
  const shown = line()
  expect(shown.find('.doubt').exists()).toBe(false)
  const vm = shown.vm as unknown as { openLabel: () => void }
  vm.openLabel()
  await shown.vm.$nextTick()
  await shown.find('input').setValue(' Grown up ')
  await shown.find('input').trigger('keydown', { key: 'Enter' })
  expect(shown.emitted('label')).toEqual([['Grown up']])
})
