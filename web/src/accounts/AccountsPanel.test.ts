import { button, clear, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import AccountsPanel from './AccountsPanel.vue'

function account(name: string, roles: string[], more: object = {}) {
  return {
    name,
    displayName: name.charAt(0).toUpperCase() + name.slice(1),
    roles,
    provider: '',
    ownPeopleOnly: false,
    givenListsOnly: false,
    closed: false,
    vouchedFor: false,
    secondFactor: false,
    holds: [],
    revision: 2,
    ...more,
  }
}

const COLLEAGUES = {
  colleagues: [
    { name: 'orla', displayName: 'Orla', roles: ['COORDINATOR'] },
    { name: 'tam', displayName: 'Tam', roles: ['CALLER'] },
    { name: 'maud', displayName: 'Maud', roles: ['MANAGER'] },
  ],
  groups: [{ name: 'Front desk', members: ['tam'], revision: 5 }],
}

let answers: Parameters<typeof serving>[0]

beforeEach(() => {
  answers = {
    'GET /api/accounts': [
      account('orla', ['COORDINATOR'], { holds: ['11 people', '2 sets'], secondFactor: true }),
      account('tam', ['CALLER'], { givenListsOnly: true }),
      account('rook', ['CLINICIAN'], { ownPeopleOnly: true, provider: 'Dr Rook', closed: true }),
    ],
    'GET /api/colleagues': COLLEAGUES,
    'GET /api/second-factor': { roles: {}, revision: 1 },
    'POST /api/accounts/orla/hand-over': { words: '11 people and 2 sets went to Tam.' },
    'PUT /api/groups/Front%20desk': {},
    'PUT /api/groups/Outreach': {},
    'DELETE /api/accounts/orla/second-factor': {},
  }
})
afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

async function panel() {
  const asked = serving(answers)
  const wrapper = await shown(AccountsPanel, {}, { name: 'adam', roles: ['ADMINISTRATOR'] })
  await flushPromises()
  return { wrapper, asked }
}

describe('accounts', () => {
  it('say what each may see and holds, and which are closed', async () => {
    const { wrapper } = await panel()
    const rows = wrapper.findAll('tbody tr').map((row) => row.text().replaceAll(/\s+/g, ' '))
    expect(rows[0]).toContain('with a second factor')
    expect(rows[0]).toContain('11 people and 2 sets')
    expect(rows[1]).toContain('given lists only')
    expect(rows[2]).toContain('closed')
    expect(rows[2]).toContain('own people (Dr Rook)')
  })

  it('hand over what is held to whoever works lists, and say what went', async () => {
    const { wrapper, asked } = await panel()
    const heirs = wrapper.find('[aria-label="Who takes over from Orla"]')
    expect(heirs.findAll('option').map((one) => one.text())).toEqual(['Tam'])
    await heirs.setValue('tam')
    await button(wrapper, 'Hand over').trigger('click')
    await flushPromises()
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ to: 'tam' })
    expect(wrapper.find('[role=status].calm').text()).toBe('11 people and 2 sets went to Tam.')
  })

  it('lose a second factor only when that is meant', async () => {
    const { wrapper, asked } = await panel()
    const removed = () => asked.some((one) => one.method === 'DELETE')
    vi.stubGlobal('confirm', () => false)
    await button(wrapper, 'Remove that').trigger('click')
    await flushPromises()
    expect(removed()).toBe(false)
    vi.stubGlobal('confirm', () => true)
    await button(wrapper, 'Remove that').trigger('click')
    await flushPromises()
    expect(removed()).toBe(true)
  })
})

describe('groups', () => {
  it('are changed from what was seen, and show what was refused', async () => {
    answers['PUT /api/groups/Front%20desk'] = new Refusal(412, 'Somebody changed it meanwhile.')
    const { wrapper, asked } = await panel()
    const [orla] = wrapper.find('.group').findAll('input')
    await orla?.trigger('click')
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect([put?.ifMatch, put?.body]).toEqual(['"5"', { members: ['tam', 'orla'] }])
    expect(wrapper.find('[role=alert]').text()).toBe('Somebody changed it meanwhile.')
    expect(orla?.element.checked).toBe(false)
  })

  it('begin with the first who is in one', async () => {
    const { wrapper, asked } = await panel()
    await wrapper.find('[aria-label="Name of a new group"]').setValue(' Outreach ')
    await wrapper.find('form.group').trigger('submit')
    const begun = wrapper.findAll('.group')[1]
    expect(begun?.text()).toContain('Outreach')
    expect(begun?.text()).toContain('Who is in it?')
    await begun?.findAll('input')[1]?.trigger('click')
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect([put?.path, put?.ifMatch, put?.body]).toEqual([
      '/api/groups/Outreach',
      '"0"',
      { members: ['tam'] },
    ])
  })
})
