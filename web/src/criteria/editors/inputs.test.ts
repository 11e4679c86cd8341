import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import InputNumber from 'primevue/inputnumber'
import Select from 'primevue/select'
import { describe, expect, it } from 'vitest'
import type { Component } from 'vue'
import AgesInput from './AgesInput.vue'
import CountEditor from './CountEditor.vue'
import PeriodInput from './PeriodInput.vue'
import WindowEditor from './WindowEditor.vue'

function editor(component: Component, modelValue: unknown, props: object = {}) {
  return mount(component, {
    props: { modelValue, ...props },
    global: { plugins: [PrimeVue], stubs: { Select: true, InputNumber: true } },
  })
}

function changed(wrapper: ReturnType<typeof editor>) {
  return wrapper.emitted('update:modelValue')?.at(-1)?.[0]
}

describe('the editors of a slot', () => {
  it('change the amount or the unit of a period', async () => {
    const period = editor(PeriodInput, 'P12M', { label: 'How long' })
    period.findComponent(InputNumber).vm.$emit('input', { value: 6 })
    expect(changed(period)).toBe('P6M')
    await period.findComponent(Select).vm.$emit('update:modelValue', 'Y')
    expect(changed(period)).toBe('P6Y')
  })

  it('leave a period of several units as it is written, and one of a dial alone', () => {
    expect(editor(PeriodInput, 'P1Y6M', { label: 'x' }).find('input').element.value).toBe('P1Y6M')
    const turned = editor(PeriodInput, { dial: 'every' }, { label: 'x' })
    expect(turned.text()).toContain('turned by “every”')
  })

  it('give another form of window something to begin with', async () => {
    const window = editor(WindowEditor, { last: 'P12M' })
    await window.findComponent(Select).vm.$emit('update:modelValue', 'ago')
    expect(changed(window)).toEqual({ ago: ['P2Y', 'P1Y'] })
  })

  it('keep at least one end of a span of ages', () => {
    const both = editor(AgesInput, { from: 18, through: 69 })
    both.findAllComponents(InputNumber)[0]?.vm.$emit('input', { value: null })
    expect(changed(both)).toEqual({ through: 69 })
    const one = editor(AgesInput, { from: 18 })
    one.findAllComponents(InputNumber)[0]?.vm.$emit('input', { value: null })
    expect(changed(one)).toBeUndefined()
  })

  it('write a count in the form that was chosen', async () => {
    const count = editor(CountEditor, { events: {} })
    await count.findComponent(Select).vm.$emit('update:modelValue', 'none')
    expect(changed(count)).toEqual({ events: {}, count: { none: true } })
    const some = editor(CountEditor, { events: {}, count: { atMost: 2 } })
    some.findComponent(InputNumber).vm.$emit('input', { value: 5 })
    expect(changed(some)).toEqual({ events: {}, count: { atMost: 5 } })
  })
})
