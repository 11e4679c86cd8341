import { clear, shown } from '@/testing'
import { useVeil } from '@/veil'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import { useRouter, type Router } from 'vue-router'
import { useInAddress, useNumberInAddress, usePageTitle, useShownInAddress } from '.'

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout'] })
})
afterEach(() => {
  vi.useRealTimers()
  clear()
})

/** Until the address says what there was to say. */
async function said() {
  await vi.advanceTimersByTimeAsync(1000)
}

/** A page that shows a pile, a part and somebody. */
async function page() {
  let router: Router | undefined
  const parts = { pile: ref(''), part: ref(''), person: ref<string | undefined>() }
  const Page = defineComponent(() => {
    router = useRouter()
    parts.pile = useInAddress('pile', () => 'open')
    parts.part = useInAddress('part')
    usePageTitle(
      () => [parts.pile.value, undefined, 'Lists'],
      () => parts.person.value,
    )
    return () => h('p', `${parts.pile.value} ${parts.part.value}`)
  })
  const wrapper = await shown(Page, {})
  if (!router) {
    throw new Error('The page has no router')
  }
  return { wrapper, router, ...parts }
}

describe('a word in the address', () => {
  it('is another at once, and the address says all of them', async () => {
    const { wrapper, router, pile, part } = await page()
    expect(wrapper.text()).toBe('open')
    pile.value = 'check'
    part.value = 'Mill Lane'
    await nextTick()
    expect(wrapper.text()).toBe('check Mill Lane')
    await said()
    expect(router.currentRoute.value.query).toEqual({ pile: 'check', part: 'Mill Lane' })
    pile.value = 'open'
    await said()
    expect(router.currentRoute.value.query).toEqual({ part: 'Mill Lane' })
    expect(wrapper.text()).toBe('open Mill Lane')
  })

  it('is what it was last set to, however fast', async () => {
    const { wrapper, router, pile } = await page()
    for (const one of ['a', 'b', 'c', 'd']) {
      pile.value = one
      await Promise.resolve()
    }
    expect(pile.value).toBe('d')
    await said()
    expect(router.currentRoute.value.query).toEqual({ pile: 'd' })
    expect(wrapper.text()).toBe('d')
  })

  it('follows whoever goes to an address', async () => {
    const { wrapper, router } = await page()
    await router.push('/?pile=excused&part=x')
    expect(wrapper.text()).toBe('excused x')
    await router.push('/')
    expect(wrapper.text()).toBe('open')
  })

  it('does not keep anybody on the page that they leave', async () => {
    const { router, pile } = await page()
    pile.value = 'check'
    await router.push('/elsewhere')
    await said()
    expect(router.currentRoute.value.fullPath).toBe('/elsewhere')
    const leaving = router.push('/further')
    pile.value = 'excused'
    await leaving
    await said()
    expect(router.currentRoute.value.path).toBe('/further')
  })
})

describe('the title', () => {
  it('says who, what and where, and under the veil not who', async () => {
    const { person } = await page()
    expect(document.title).toBe('open – Lists – Dipstick')
    person.value = 'Marl, Ada'
    await nextTick()
    expect(document.title).toBe('Marl, Ada – open – Lists – Dipstick')
    useVeil().turn()
    await nextTick()
    expect(document.title).toBe('open – Lists – Dipstick')
  })
})

describe('a dialog in the address', () => {
  async function dialogs(at: string) {
    const parts: { dialog?: ReturnType<typeof useShownInAddress>; router?: Router } = {}
    const number = { of: ref<number | undefined>() }
    const Page = defineComponent(() => {
      parts.router = useRouter()
      parts.dialog = useShownInAddress('readings')
      number.of = useNumberInAddress('reading')
      return () => h('p')
    })
    await shown(Page, {}, undefined, { at })
    return { ...parts, number }
  }

  it('is open for whoever comes by it, with what it showed', async () => {
    const { dialog, number } = await dialogs('/?shown=readings&reading=12')
    expect(dialog?.value).toBe(true)
    expect(number.of.value).toBe(12)
  })

  it('is said while it is open', async () => {
    const { dialog, number, router } = await dialogs('/?pile=open')
    expect(dialog?.value).toBe(false)
    if (dialog) {
      dialog.value = true
    }
    number.of.value = 3
    await said()
    expect(router?.currentRoute.value.query).toEqual({
      pile: 'open',
      shown: 'readings',
      reading: '3',
    })
    if (dialog) {
      dialog.value = false
    }
    number.of.value = undefined
    await said()
    expect(router?.currentRoute.value.query).toEqual({ pile: 'open' })
  })

  it('is not open by another word, and shows nothing by what is no number', async () => {
    const { dialog, number } = await dialogs('/?shown=other&reading=1e9')
    expect(dialog?.value).toBe(false)
    expect(number.of.value).toBeUndefined()
  })
})
