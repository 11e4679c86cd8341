import { clear, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import PersonPrompts from './PersonPrompts.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const PROMPTS = [
  {
    set: 'kidney',
    list: 'Kidney',
    say: 'Your kidneys want a look.',
    why: 'No result.',
    due: 'never',
    since: '2026-05-02',
  },
  {
    set: 'hearing',
    list: 'Hearing',
    say: '',
    why: 'No check.',
    due: '2026-05-01',
    since: '2026-05-02',
  },
]

it('says what is due by other lists than the one that is open, and is told not to for a while', async () => {
  let told: unknown[] = PROMPTS
  const asked = serving({
    'GET /api/who/m%201/prompts': () => told,
    'POST /api/lists/kidney/prompt/dismissals': { id: 7 },
  })
  const wrapper = await shown(PersonPrompts, { person: 'm 1', without: 'hearing' })
  expect(wrapper.text()).toContain('“Your kidneys want a look.”')
  expect(wrapper.text()).toContain('never met')
  expect(wrapper.text()).not.toContain('Hearing')

  await wrapper.find('li .word').trigger('click')
  await wrapper.find('#dismiss-why').setValue('  wants to think ')
  told = []
  await wrapper.find('[role=dialog] form').trigger('submit')
  await flushPromises()
  expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
    person: 'm 1',
    reason: 'wants to think',
    until: '2026-12-24',
  })
  expect(wrapper.find('.prompts').exists()).toBe(false)
})

it('asks nothing for a manager, who works no list', async () => {
  const asked = serving({})
  await shown(PersonPrompts, { person: 'm' }, { name: 'maud', roles: ['MANAGER'] })
  expect(asked).toEqual([])
})
