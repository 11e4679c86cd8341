import { clear, later, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import PeoplePage from './PeoplePage.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

function found(total: number, ...ids: string[]) {
  const people = ids.map((id) => ({ id, name: `Marl ${id}`, born: '12 May 1961', age: '65' }))
  return new Response(JSON.stringify({ total, people }))
}

it('says how many are found only by what is typed, not by what was typed before', async () => {
  const second = later<Response>()
  vi.stubGlobal('fetch', (path: string) =>
    path.endsWith('find=marl') ? Promise.resolve(found(1, '1')) : second.promise,
  )
  const wrapper = await shown(PeoplePage, {})
  const status = wrapper.find('[role=status]')
  expect(status.text()).toBe('Everybody on record can be found here.')

  await wrapper.find('input').setValue('marl')
  expect(status.text()).toBe('Looking …')
  await vi.waitFor(() => {
    expect(status.text()).toBe('1 found')
  })
  await wrapper.find('input').setValue('marla')
  expect(status.text()).toBe('Looking …')
  expect(wrapper.findAll('.person-row')).toHaveLength(1)

  second.resolve(found(300, '2', '3'))
  await vi.waitFor(() => {
    expect(status.text()).toBe('The first 2 of 300; type more of it.')
  })
})

it('says what went wrong, and that nobody is found only where that is so', async () => {
  let works = false
  vi.stubGlobal('fetch', () =>
    works ? Promise.resolve(found(0)) : Promise.reject(new TypeError('offline')),
  )
  const wrapper = await shown(PeoplePage, {})
  await wrapper.find('input').setValue('marl')
  await vi.waitFor(() => {
    expect(wrapper.find('[role=alert]').exists()).toBe(true)
  })
  expect(wrapper.find('[role=status]').text()).toBe('')

  works = true
  await wrapper.find('input').setValue('marla')
  await vi.waitFor(() => {
    expect(wrapper.find('[role=status]').text()).toBe('0 found')
  })
  await flushPromises()
  expect(wrapper.find('[role=alert]').exists()).toBe(false)
})
