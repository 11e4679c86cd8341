import { PLACES } from '@/places'
import { QUEUES } from '@/outreach/queues'
import { button, clear, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { defineComponent, h } from 'vue'
import { afterEach, describe, expect, it, vi } from 'vitest'
import HelpDialog from './HelpDialog.vue'
import { howToRead } from './howToRead'
import { MEANINGS, QUEUE_MEANINGS } from './meanings'
import { stepsFor } from './walk'
import WalkOffer from './WalkOffer.vue'
import WalkStrip from './WalkStrip.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
  localStorage.clear()
})

describe('how a place is read', () => {
  it('is said of every place, and of what is within it', () => {
    for (const { to } of PLACES) {
      expect(howToRead(to)?.words, to).not.toHaveLength(0)
    }
    expect(howToRead('/criteria')?.place).toBe('Criteria')
    expect(howToRead('/criteria/lithium')?.place).toBe('the bench')
    expect(howToRead('/lists/lithium')?.place).toBe('the desk')
    expect(howToRead('/lists/lithium/on-a-day')?.place).toBe('a list as of a day')
    expect(howToRead('/nowhere')).toBeUndefined()
  })

  it('says what each pile of the desk is', () => {
    const desk = howToRead('/lists/lithium')?.meanings.map((name) => MEANINGS[name].name)
    expect(desk).toEqual(expect.arrayContaining(QUEUES.map((queue) => queue.name)))
    expect(Object.keys(QUEUE_MEANINGS)).toEqual(QUEUES.map((queue) => queue.id))
  })

  it('is shown with what the numbers of the place say', async () => {
    serving({})
    const dialog = await shown(HelpDialog, { visible: true }, undefined, { at: '/lists' })
    expect(dialog.text()).toContain('Opening one is the desk')
    expect(dialog.text()).toContain(MEANINGS.toCheck.words)
    expect(dialog.text()).not.toContain(MEANINGS.ribbon.words)
  })
})

describe('the walk', () => {
  const Page = defineComponent(() => () => [h(WalkOffer), h(WalkStrip)])

  it('has five steps for who defines lists and for who works them, where they may go', () => {
    expect(stepsFor(['COORDINATOR'])).toHaveLength(5)
    expect(stepsFor(['CALLER'])).toHaveLength(5)
    expect(stepsFor(['MANAGER'])).toEqual([])
  })

  it('is offered in the demo until it was taken, and leads from place to place', async () => {
    serving({})
    const page = await shown(Page, {}, undefined, { demo: true })
    await page.get('button').trigger('click')
    await flushPromises()
    expect(page.text()).toContain('1 of 5')
    for (let step = 2; step <= 5; step++) {
      await button(page, 'Next step').trigger('click')
      expect(page.text()).toContain(`${String(step)} of 5`)
    }
    await button(page, 'That was it').trigger('click')
    expect(page.text()).toBe('')
  })

  it('is not offered where real people are', async () => {
    serving({})
    const page = await shown(Page, {})
    expect(page.text()).toBe('')
  })
})
