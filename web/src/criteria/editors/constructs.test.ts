import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import Select from 'primevue/select'
import { expect, it } from 'vitest'
import type { Component } from 'vue'
import PeriodInput from './PeriodInput.vue'
import PickEditor from './PickEditor.vue'
import RosterEditor from './RosterEditor.vue'
import SequenceEditor from './SequenceEditor.vue'

function editor(component: Component, modelValue: unknown, props: object = {}) {
  return mount(component, {
    props: { modelValue, ...props },
    global: {
      plugins: [PrimeVue],
      stubs: { Select: true, PeriodInput: true, FieldTestsInput: true },
    },
  })
}

function changed(wrapper: ReturnType<typeof editor>) {
  return wrapper.emitted('update:modelValue')?.at(-1)?.[0]
}

it('the latest becomes the earliest, with the same records and tests', async () => {
  const is = [{ field: 'value', above: 1 }]
  const pick = editor(PickEditor, { latest: { kinds: ['result'] }, is }, { fields: [] })
  await pick.findComponent(Select).vm.$emit('update:modelValue', 'earliest')
  expect(changed(pick)).toEqual({ earliest: { kinds: ['result'] }, is })
})

it('a sequence keeps what is usual unwritten', async () => {
  const test = { after: {}, expect: {}, within: 'P90D' }
  const sequence = editor(SequenceEditor, { ...test, pick: 'any', notBefore: 'P7D' })
  await sequence.findComponent(Select).vm.$emit('update:modelValue', 'latest')
  expect(changed(sequence)).toEqual({ ...test, notBefore: 'P7D' })
  const [notBefore, within] = sequence.findAllComponents(PeriodInput)
  await notBefore?.vm.$emit('update:modelValue', 'P0D')
  expect(changed(sequence)).toEqual(test)
  await within?.vm.$emit('update:modelValue', { dial: 'wait' })
  expect(changed(sequence)).toMatchObject({ within: { dial: 'wait' } })
})

it('a roster is chosen, seen and made', async () => {
  const roster = { id: 'no-letters', name: 'No letters', key: ['id'], rows: [] }
  const shown = editor(RosterEditor, { roster: 'no-letters' }, { rosters: [roster] })
  const [see, make] = shown.findAll('button')
  await see?.trigger('click')
  await make?.trigger('click')
  expect(shown.emitted('editRoster')).toEqual([['no-letters'], [undefined]])
  await shown.findComponent(Select).vm.$emit('update:modelValue', 'others')
  expect(changed(shown)).toEqual({ roster: 'others' })
})
