import { button, clear, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import { KeysDialog, useKeys, useKeysOfPlace } from '.'

afterEach(() => {
  localStorage.clear()
  clear()
})

const change = vi.fn((key: string) => (key === 't' ? 't is in use already: take.' : undefined))

const Place = defineComponent(() => {
  useKeysOfPlace(() => ({
    place: 'the shelf',
    keys: [
      { key: 'Ctrl+P', does: 'print' },
      { key: 'e', does: 'excuse', change },
    ],
    asAtFirst: () => undefined,
  }))
  return () => h('p', 'A shelf')
})
const isThere = ref(true)
const Application = defineComponent(
  () => () =>
    h('div', [
      isThere.value ? h(Place) : h('p', 'Elsewhere'),
      h(KeysDialog, { everywhere: [{ key: 'F8', does: 'who rings' }] }),
    ]),
)

async function open(key = '?') {
  window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
  await flushPromises()
}

it('tells the keys of the place that is open, and of every place', async () => {
  isThere.value = true
  const wrapper = await shown(Application, {})
  await open()
  expect(wrapper.text()).toContain('Keys of the shelf')
  expect(wrapper.text()).toContain('who rings')
  isThere.value = false
  await nextTick()
  expect(wrapper.text()).not.toContain('the shelf')
  expect(wrapper.text()).toContain('who rings')
})

it('gives an act the key that is pressed on it, or says why not', async () => {
  isThere.value = true
  const wrapper = await shown(Application, {})
  await open()
  const field = wrapper.get('[aria-label="Key for: excuse"]')
  await field.trigger('keydown', { key: 'Tab' })
  expect(change).not.toHaveBeenCalled()
  await field.trigger('keydown', { key: 't' })
  expect(wrapper.get('[role=status]').text()).toBe('t is in use already: take.')
  await field.trigger('keydown', { key: 'q' })
  expect(change).toHaveBeenLastCalledWith('q')
  expect(wrapper.get('[role=status]').text()).toBe('q: excuse.')
  expect(button(wrapper, 'Keys as they were at first').exists()).toBe(true)
})

it('switches off keys that are a single sign, its own too', async () => {
  const wrapper = await shown(Application, {})
  await open()
  await wrapper.get('[role=dialog] input[type=checkbox]').setValue(false)
  useKeys().shown = false
  await flushPromises()
  await open()
  expect(wrapper.find('[role=dialog]').exists()).toBe(false)
})
