import { button, clear, Refusal, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import Select from 'primevue/select'
import { afterEach, describe, expect, it, vi } from 'vitest'
import SharingDialog from './SharingDialog.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const SHARED = {
  owner: 'orla',
  ownerName: 'Orla Fenwick',
  everybody: 'NONE',
  shares: [{ kind: 'COLLEAGUE', grantee: 'tam', granted: 'WORK' }],
  mine: 'CHANGE',
  revision: 4,
}
const COLLEAGUES = {
  colleagues: [
    { name: 'orla', displayName: 'Orla Fenwick', roles: ['COORDINATOR'] },
    { name: 'tam', displayName: 'Tam Birchall', roles: ['CALLER'] },
    { name: 'maud', displayName: 'Maud Ketteridge', roles: ['MANAGER'] },
  ],
  groups: [{ name: 'Front desk', members: ['tam'], revision: 1 }],
}

async function dialog(saved: unknown = SHARED) {
  const asked = serving({
    'GET /api/colleagues': COLLEAGUES,
    'GET /api/sharing/kidney': SHARED,
    'PUT /api/sharing/kidney': saved,
  })
  const wrapper = await shown(SharingDialog, { visible: false, id: 'kidney', name: 'Kidney' })
  await wrapper.setProps({ visible: true })
  await flushPromises()
  return { wrapper, asked }
}

describe('sharing a set and its list', () => {
  it('shows whose it is and who may what', async () => {
    const { wrapper } = await dialog()
    expect(wrapper.find('[role=dialog]').attributes('aria-label')).toBe('Share “Kidney”')
    const owners = wrapper.findAll('#share-owner option').map((one) => one.text())
    expect(owners).toEqual(['Orla Fenwick'])
    expect(wrapper.text()).toContain('Tam Birchall may')
    expect((wrapper.find('#share-everybody').element as HTMLSelectElement).value).toBe('NONE')
  })

  it('adds groups and colleagues once, and takes them away', async () => {
    const { wrapper, asked } = await dialog()
    const add = wrapper.findComponent(Select)
    const offered = add.props('options') as { name: string }[]
    expect(offered.map((one) => one.name)).toEqual([
      'Front desk (group)',
      'Tam Birchall',
      'Maud Ketteridge',
    ])
    await add.vm.$emit('update:modelValue', 'GROUP Front desk')
    await add.vm.$emit('update:modelValue', 'COLLEAGUE tam')
    await wrapper.find('[aria-label="Share with Tam Birchall no more"]').trigger('click')
    await wrapper.find('#share-everybody').setValue('VIEW')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect(put?.ifMatch).toBe('"4"')
    expect(put?.body).toEqual({
      owner: 'orla',
      everybody: 'VIEW',
      shares: [{ kind: 'GROUP', grantee: 'Front desk', granted: 'WORK' }],
    })
    expect(wrapper.emitted('update:visible')?.at(-1)).toEqual([false])
  })

  it('is not overwritten where somebody shared it otherwise meanwhile', async () => {
    const { wrapper } = await dialog(new Refusal(412, 'Somebody changed it meanwhile.'))
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toBe('Somebody changed it meanwhile.')
    await button(wrapper, 'Leave as it was').trigger('click')
    expect(wrapper.emitted('update:visible')?.at(-1)).toEqual([false])
  })
})
