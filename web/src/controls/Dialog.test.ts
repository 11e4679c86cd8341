import { enableAutoUnmount, flushPromises, mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, describe, expect, it } from 'vitest'
import { defineComponent, nextTick, ref } from 'vue'
import { Dialog, FormDialog } from '@/controls'

enableAutoUnmount(afterEach)

const fetching = ref('')

const Opener = defineComponent({
  components: { PlainDialog: Dialog, FormDialog },
  props: { kind: { type: String, required: true } },
  setup: () => ({ open: ref(false), fetching, done: ref('') }),
  template: `
    <button id="opener" @click="open = true">Open</button>
    <PlainDialog v-if="kind === 'plain'" v-model:visible="open" modal header="Plain">
      <input id="first" /><input id="second" />
    </PlainDialog>
    <FormDialog v-else-if="kind === 'several'" v-model:visible="open" header="Form" @done="done += 'entered'">
      <input id="first" />
      <template #actions>
        <button type="button" @click="done += 'this'">This</button><button type="submit">That</button>
      </template>
      <output>{{ done }}</output>
    </FormDialog>
    <PlainDialog v-else-if="kind === 'taken away' && open" visible modal header="Plain" @update:visible="open = false">
      <input id="first" />
    </PlainDialog>
    <FormDialog v-else v-model:visible="open" :fetching="fetching" header="Form" action="Do it">
      <input id="off" disabled /><input id="first" /><input id="second" :autofocus="kind === 'marked'" />
    </FormDialog>`,
})

async function opened(kind: string) {
  const wrapper = mount(Opener, {
    props: { kind },
    attachTo: document.body,
    global: { plugins: [PrimeVue], stubs: { transition: false } },
  })
  wrapper.find<HTMLElement>('#opener').element.focus()
  await wrapper.find('#opener').trigger('click')
  await nextTick()
  return wrapper
}

/** A dialog has come in after two frames, where nothing moves. */
async function cameIn() {
  for (let i = 0; i < 3; i++) {
    await new Promise(requestAnimationFrame)
  }
  await flushPromises()
}

const focused = () => document.activeElement?.id || document.activeElement?.ariaLabel
const field = (id: string) => document.getElementById(id) as HTMLElement

describe('a dialog', () => {
  it('takes the focus to its cross once it has come in, where nobody has put it anywhere in it', async () => {
    await opened('plain')
    await cameIn()
    expect(focused()).toBe('Close')
  })

  it('leaves the focus to whoever types before it has come in', async () => {
    await opened('plain')
    field('second').focus()
    await cameIn()
    expect(focused()).toBe('second')
  })

  it('of a form begins in its first field that can be filled in', async () => {
    await opened('form')
    expect(focused()).toBe('first')
    await cameIn()
    expect(focused()).toBe('first')
  })

  it('of a form begins in the field that is marked, and gives the focus back', async () => {
    await opened('marked')
    await cameIn()
    expect(focused()).toBe('second')
    const leave = [...document.querySelectorAll('button')].find((one) =>
      one.textContent.includes('Leave'),
    )
    leave?.click()
    await cameIn()
    expect(focused()).toBe('opener')
  })

  it('of a form that had to be fetched begins there once it is there', async () => {
    fetching.value = 'Looking …'
    await opened('form')
    await cameIn()
    fetching.value = ''
    await nextTick()
    expect(focused()).toBe('first')
  })

  it('that is taken off the page while it is open gives the focus back', async () => {
    await opened('taken away')
    await cameIn()
    expect(focused()).toBe('Close')
    ;(document.activeElement as HTMLElement).click()
    await cameIn()
    expect(document.querySelector('[role=dialog]')).toBeNull()
    expect(focused()).toBe('opener')
  })

  it('offers one of several things to do beside the way out', async () => {
    await opened('several')
    const labels = () => [...document.querySelectorAll('form button')].map((one) => one.textContent)
    expect(labels()).toEqual(['This', 'That', 'Leave as it was'])
    document.querySelector('form')?.requestSubmit()
    await flushPromises()
    expect(document.querySelector('output')?.textContent).toBe('entered')
  })
})
