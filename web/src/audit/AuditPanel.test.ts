import { button, clear, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import AuditPanel from './AuditPanel.vue'

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  clear()
})

function entry(id: number, act: string, subject: string) {
  return { id, at: '2026-11-26T09:15:00Z', account: 'tam', act, subject }
}

async function panel() {
  vi.useFakeTimers({ shouldAdvanceTime: true })
  const asked = serving({
    'GET /api/colleagues': {
      colleagues: [{ name: 'tam', displayName: 'Tam Birchall', roles: ['CALLER'] }],
      groups: [],
    },
    'GET /api/audit': (one: { path: string }) => {
      const of = new URLSearchParams(one.path.split('?')[1])
      if (of.get('find') === 'nobody') {
        return { acts: ['PERSON_READ'], entries: [], more: false }
      }
      return of.has('before')
        ? { acts: [], entries: [entry(1, 'SIGNED_IN', 'tam')], more: false }
        : {
            acts: ['PERSON_READ', 'LIST_EXPORTED'],
            entries: [entry(9, 'LIST_EXPORTED', 'kidney as CSV'), entry(8, 'PERSON_READ', '10054')],
            more: true,
          }
    },
  })
  const wrapper = await shown(AuditPanel, {})
  await flushPromises()
  return { wrapper, asked }
}

const settle = async () => {
  await vi.advanceTimersByTimeAsync(300)
  await flushPromises()
}

describe('the audit log', () => {
  it('says who did what and when, the newest first, and goes on to older ones', async () => {
    const { wrapper, asked } = await panel()
    const first = wrapper.findAll('tbody tr')[0]?.text() ?? ''
    expect(first).toContain('26 Nov 2026')
    expect(first).toContain('Tam Birchall')
    expect(first).toContain('List exported')
    expect(first).toContain('kidney as CSV')
    await wrapper.findAll('button').at(-1)?.trigger('click')
    await flushPromises()
    expect(asked.map(({ path }) => path).filter((path) => path.includes('before=8'))).toHaveLength(
      1,
    )
    expect(wrapper.findAll('tbody tr')).toHaveLength(3)
  })

  it('is searched by who, what and words', async () => {
    const { wrapper, asked } = await panel()
    await wrapper.find('[aria-label=Who]').setValue('tam')
    await wrapper.find('[aria-label=What]').setValue('PERSON_READ')
    await wrapper.find('[aria-label="Find in the log"]').setValue('10054')
    await vi.waitFor(() => {
      expect(asked.at(-1)?.path).toBe('/api/audit?account=tam&act=PERSON_READ&find=10054')
    })
  })

  it('says where there is nothing', async () => {
    const { wrapper } = await panel()
    await wrapper.find('[aria-label="Find in the log"]').setValue('nobody')
    await settle()
    expect(wrapper.text()).toContain('Nothing like this is in the log.')
    expect(() => button(wrapper, 'no such button')).toThrow('There is no button')
  })
})
