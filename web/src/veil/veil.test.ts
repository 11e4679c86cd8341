import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { useVeil, Veiled, VeiledWords, VEIL_KEY } from '.'

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

it('takes out of a sentence what tells who somebody is', async () => {
  const text = 'Aged 23, born 9 Jun 2003. Family name is Marl (a.b).'
  const telling = ['', 'a', '9 Jun 2003', 'Marl', '(a.b)']
  const sentence = mount(VeiledWords, { props: { text, telling } })
  expect(sentence.text()).toBe(text)
  useVeil().turn()
  await nextTick()
  expect(sentence.html()).not.toMatch(/2003|Marl|a\.b/)
  expect(sentence.text()).toContain('Aged 23, born')
})
