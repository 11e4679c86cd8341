import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { defineComponent, nextTick } from 'vue'
import { emptyDocument } from './document'
import SlotPopover from './SlotPopover.vue'

it('opens beside the word, also where a way to mend clicks it', async () => {
  const shownAt: unknown[] = []
  const Popover = defineComponent({
    setup(_, { expose }) {
      expose({
        show: (_event: Event, at: unknown) => shownAt.push(at),
        hide: () => undefined,
      })
      return () => null
    },
  })
  const wrapper = mount(SlotPopover, {
    props: {
      slotOpen: undefined,
      document: emptyDocument(),
      vocabulary: {} as never,
      asOf: '2026-11-27',
    },
    global: { stubs: { Popover } },
  })
  const word = document.createElement('button')
  word.addEventListener('click', (event) => {
    wrapper.vm.show(event)
  })
  // By a script, the browser has forgotten which one was clicked when the popover opens.
  word.click()
  await nextTick()
  expect(shownAt).toEqual([word])
})
