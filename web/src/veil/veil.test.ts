import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { useVeil, Veiled, VEIL_KEY } from '.'

beforeEach(() => {
  sessionStorage.clear()
  setActivePinia(createPinia())
})

it('takes a name out of the page, and gives it back', async () => {
  const veil = useVeil()
  const name = mount(Veiled, { props: { text: 'Marl, Tove' } })
  expect(name.text()).toBe('Marl, Tove')
  veil.turn()
  await nextTick()
  expect(name.html()).not.toContain('Marl')
  expect(name.text()).toContain('name hidden')
  veil.turn()
  await nextTick()
  expect(name.text()).toBe('Marl, Tove')
})

it('is turned by its key, and hides nothing where nothing is', async () => {
  const veil = useVeil()
  const nothing = mount(Veiled, { props: { text: '' } })
  window.dispatchEvent(new KeyboardEvent('keydown', { key: VEIL_KEY }))
  await nextTick()
  expect(veil.isDown).toBe(true)
  expect(nothing.text()).toBe('')
})
