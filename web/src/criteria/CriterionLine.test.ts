import type { Schemas } from '@/api/client'
import { flushPromises, mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { expect, it, vi } from 'vitest'
import CriterionLine from './CriterionLine.vue'
import { emptyDocument } from './document'
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
    typed: 'aged 18 or over',
    alone: { yes: 6, unsure: 1 },
    onlyByIt: 2,
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
      nameable: emptyDocument(),
      asOf: '2026-11-23',
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

it('shows the criterion alone while its level is pointed at or has the focus', async () => {
  const shown = line()
  expect(shown.find('[role=tooltip]').exists()).toBe(false)
  await shown.find('.on-stick').trigger('mouseenter')
  expect(shown.find('[role=tooltip]').text()).toBe(
    'Alone: yes for 6, can’t tell for 1.It alone keeps 2 off the list.',
  )
  await shown.find('.on-stick').trigger('mouseleave')
  await shown.find('.level').trigger('focusin')
  expect(shown.find('[role=tooltip]').exists()).toBe(true)
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }))
  await shown.vm.$nextTick()
  expect(shown.find('[role=tooltip]').exists(), 'what is under it can be read').toBe(false)
})

it('names its numbers for who hears them by themselves', () => {
  const names = line()
    .findAll('button[aria-label]')
    .map((one) => one.attributes('aria-label'))
  expect(names.slice(0, 3)).toEqual([
    '5: Left after “aged 18 or over”',
    '1 can’t tell: Can’t tell after “aged 18 or over”',
    '0 fell: Fell at “aged 18 or over”',
  ])
})

it('is typed anew, from the words that it has', async () => {
  vi.stubGlobal('fetch', () =>
    Promise.resolve(
      new Response(
        JSON.stringify({
          test: { age: { from: 21 } },
          sentence: 'aged 21 or over',
          offers: [],
          readings: [],
          mended: [],
          understood: '',
        }),
      ),
    ),
  )
  const shown = line()
  await shown.trigger('keydown', { key: 'F2' })
  const input = shown.find<HTMLInputElement>('[role=combobox]')
  expect(input.element.value).toBe('aged 18 or over')
  await input.setValue('aged 21 or over')
  await flushPromises()
  await input.trigger('keydown', { key: 'Enter' })
  await flushPromises()
  expect(shown.emitted('retype')).toEqual([[{ age: { from: 21 } }, []]])
  expect(shown.find('[role=combobox]').exists()).toBe(false)
  vi.unstubAllGlobals()
})
