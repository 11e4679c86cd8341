import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { expect, it } from 'vitest'
import { emptyDocument, type CriteriaDocument } from '../document'
import DialStrip from './DialStrip.vue'
import DialValue from './DialValue.vue'

const DOCUMENT: CriteriaDocument = {
  ...emptyDocument(),
  dials: [
    { name: 'every', label: 'Check every', type: 'period', default: 'P12M' },
    { name: 'sites', label: 'Sites', type: 'texts', default: ['Mill Lane'] },
  ],
}

function strip(settings: Record<string, string>) {
  return mount(DialStrip, {
    props: { document: DOCUMENT, fields: [], settings },
    global: { plugins: [PrimeVue], stubs: { DialValue: true } },
  })
}

function turned(of: ReturnType<typeof strip>) {
  return of.emitted('update:settings')?.at(-1)?.[0]
}

it('turns a dial for the moment, and leaves the document alone', async () => {
  const shown = strip({})
  const [every, sites] = shown.findAllComponents(DialValue)
  expect(every?.props('modelValue')).toBe('P12M')
  await every?.vm.$emit('update:modelValue', 'P6M')
  expect(turned(shown)).toEqual({ every: 'P6M' })
  await sites?.vm.$emit('update:modelValue', ['Mill Lane', 'Harbour Row'])
  expect(turned(shown)).toEqual({ every: 'P6M', sites: 'Mill Lane;Harbour Row' })
  expect(shown.emitted('change')).toBeUndefined()
})

it('goes back to where it begins', async () => {
  const shown = strip({ every: 'P6M', sites: 'Harbour Row' })
  expect(shown.findAllComponents(DialValue)[0]?.props('modelValue')).toBe('P6M')
  await shown.get('[aria-label="Check every: back to P12M"]').trigger('click')
  expect(turned(shown)).toEqual({ sites: 'Harbour Row' })
})
