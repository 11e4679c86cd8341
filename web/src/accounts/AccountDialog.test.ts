import { clear, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import AccountDialog from './AccountDialog.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const TAM = {
  name: 'tam',
  displayName: 'Tam Birchall',
  roles: ['CALLER'],
  provider: '',
  ownPeopleOnly: false,
  givenListsOnly: true,
  closed: false,
  holds: [],
  revision: 77,
}

async function dialog(account: object | undefined, answer: unknown = TAM) {
  const asked = serving({ 'PUT /api/accounts/tam': answer, 'PUT /api/accounts/new': answer })
  const wrapper = await shown(AccountDialog, { visible: false, account })
  await wrapper.setProps({ visible: true })
  return { wrapper, asked }
}

describe('an account', () => {
  it('is changed from what was seen, and keeps its password', async () => {
    const { wrapper, asked } = await dialog(TAM)
    expect(wrapper.find('[role=dialog]').attributes('aria-label')).toBe('Tam Birchall')
    expect(wrapper.find('#account-name').exists()).toBe(false)
    await wrapper.find('#account-display').setValue('Tamsin Birchall')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(asked[0]).toMatchObject({
      ifMatch: '"77"',
      body: {
        displayName: 'Tamsin Birchall',
        roles: ['CALLER'],
        givenListsOnly: true,
        password: '',
      },
    })
    expect(wrapper.emitted('saved')).toHaveLength(1)
  })

  it('that is new begins as a caller, and never changes one that is there', async () => {
    const taken = new Refusal(412, 'There is an account with this sign-in name already.')
    const { wrapper, asked } = await dialog(undefined, taken)
    await wrapper.find('#account-name').setValue(' tam ')
    await wrapper.find('#account-display').setValue('Another Tam')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(asked[0]).toMatchObject({
      path: '/api/accounts/tam',
      ifMatch: '"0"',
      body: { roles: ['CALLER'] },
    })
    expect(wrapper.find('[role=alert]').text()).toContain('already')
    expect(wrapper.emitted('saved')).toBeUndefined()
  })

  it('needs a role', async () => {
    const { wrapper, asked } = await dialog(TAM)
    for (const box of wrapper.findAll('.roles input')) {
      await box.setValue(false)
    }
    await wrapper.find('form').trigger('submit')
    expect(asked).toEqual([])
    expect(wrapper.find('[role=alert]').text()).toContain('Somebody needs a role')
  })
})
