import { mount } from '@vue/test-utils'
import { afterEach, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { vOneStop } from './oneStop'

const List = {
  props: ['people'],
  directives: { oneStop: vOneStop },
  template:
    '<ol v-one-stop><li v-for="one in people" :key="one"><a class="person-row" href="#">{{ one }}</a></li></ol>',
}

let list: ReturnType<typeof mount> | undefined
afterEach(() => list?.unmount())

function shown(people: string[]) {
  list = mount(List, { props: { people }, attachTo: document.body })
  return list
}

function stops(): string[] {
  return [...document.querySelectorAll<HTMLElement>('.person-row')]
    .filter((line) => line.tabIndex === 0)
    .map((line) => line.textContent ?? '')
}

function press(key: string) {
  document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
}

it('is one stop, at which one comes back to where one was', async () => {
  const wrapper = shown(['Ada', 'Bo', 'Cy'])
  expect(stops()).toEqual(['Ada'])
  document.querySelector<HTMLElement>('.person-row')?.focus()
  press('ArrowDown')
  expect(document.activeElement?.textContent).toBe('Bo')
  expect(stops()).toEqual(['Bo'])
  press('End')
  press('ArrowDown')
  expect(document.activeElement?.textContent).toBe('Cy')
  press('Home')
  press('ArrowUp')
  expect(stops()).toEqual(['Ada'])

  press('ArrowDown')
  await wrapper.setProps({ people: ['Ada', 'Bo', 'Cy', 'Dee'] })
  expect(stops()).toEqual(['Bo'])
  await wrapper.setProps({ people: ['Cy', 'Dee'] })
  await nextTick()
  expect(stops()).toEqual(['Cy'])
})
