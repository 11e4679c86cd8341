import { clear, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import BringFileIn from './BringFileIn.vue'
import DeliverySheet from './DeliverySheet.vue'

const READING = { id: 'd1', fileName: 'people.csv', stage: 'READING', rowsRead: 0, reason: '' }

/** Sends a file as the browser does, which tells how far it is. */
class Sending {
  static sentTo: string[] = []
  upload: { onprogress?: (event: { loaded: number }) => void } = {}
  status = 200
  response: unknown = READING
  onload: () => void = () => undefined
  open(_: string, address: string): void {
    Sending.sentTo.push(address)
  }
  setRequestHeader(): void {
    // What it says of itself is of no matter here.
  }
  send(): void {
    this.upload.onprogress?.({ loaded: 40 })
    this.onload()
  }
}

class Refused extends Sending {
  override status = 507
  override response: unknown = { detail: 'The disk is full. Nothing was kept.' }
}

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
  Sending.sentTo = []
})

async function page(sending: typeof Sending) {
  serving({ 'GET /api/deliveries/samples': [], 'GET /api/deliveries/d1': () => READING })
  vi.stubGlobal('XMLHttpRequest', sending)
  const wrapper = await shown(BringFileIn, {})
  return { wrapper, drop: (...names: string[]) => dropped(wrapper, names) }
}

async function dropped(wrapper: Awaited<ReturnType<typeof shown>>, names: string[]) {
  const files = names.map((name) => ({ name, size: 40 }))
  await wrapper.find('.import').trigger('drop', { dataTransfer: { files } })
  await flushPromises()
}

describe('a file on its way in', () => {
  it('is sent as it is, and another one waits until it is through', async () => {
    const { wrapper, drop } = await page(Sending)
    await drop('people & more.csv')
    expect(Sending.sentTo).toEqual(['/api/deliveries?name=people%20%26%20more.csv'])
    expect(wrapper.text()).toContain('Finding out what people.csv is')

    await drop('other.csv')
    expect(wrapper.find('[role=alert]').text()).toContain('other.csv was not sent')
    expect(Sending.sentTo).toHaveLength(1)

    wrapper.getComponent(DeliverySheet).vm.$emit('working', false)
    await drop('other.csv')
    expect(Sending.sentTo).toHaveLength(2)
    wrapper.getComponent(DeliverySheet).vm.$emit('taken')
    expect(wrapper.emitted('taken')).toHaveLength(1)
    wrapper.getComponent(DeliverySheet).vm.$emit('left')
    await flushPromises()
    expect(wrapper.findComponent(DeliverySheet).exists()).toBe(false)
  })

  it('that is refused says why, and the next one may come', async () => {
    const { wrapper, drop } = await page(Refused)
    await drop('people.csv')
    expect(wrapper.find('[role=alert]').text()).toBe('The disk is full. Nothing was kept.')
    await drop('people.csv')
    expect(Sending.sentTo).toHaveLength(2)
  })

  it('comes with others only where they are one', async () => {
    const { wrapper, drop } = await page(Sending)
    await drop('a.csv', 'b.csv')
    expect(wrapper.find('[role=alert]').text()).toContain('none was sent')
    expect(Sending.sentTo).toHaveLength(0)
  })
})
