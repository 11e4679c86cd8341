import { serving, shown } from '@/testing'
import type { Schemas } from '@/api/client'
import { deskRow, shownFields } from '@/testing/rows'
import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref, shallowRef } from 'vue'
import { USUAL_VIEW } from './columns'
import { useViews } from './useViews'

afterEach(() => {
  vi.unstubAllGlobals()
})

const MINE = {
  name: 'By phone',
  columns: ['name', 'phone', 'a column that is no more'],
  sortBy: 'a column that is no more',
  descending: true,
  groupBy: 'site',
}

async function views(kept: object[], desk?: Partial<Schemas['DeskView']>) {
  const asked = serving({
    'GET /api/lists/kidney/desk/views': { views: kept, revision: 3 },
    'PUT /api/lists/kidney/desk/views': (one: { body: unknown; ifMatch: string | null }) => ({
      views: (one.body as { views: object[] }).views,
      revision: Number((one.ifMatch ?? '').replaceAll('"', '')) + 1,
    }),
  })
  let used: ReturnType<typeof useViews> | undefined
  await shown(
    defineComponent(() => {
      used = useViews(ref('kidney'), shallowRef(desk as Schemas['DeskView'] | undefined))
      return () => h('div')
    }),
    {},
  )
  if (!used) {
    throw new Error('The views were not set up')
  }
  return { views: used, asked }
}

describe('how the desk is laid out', () => {
  it('is the usual way where nothing was kept', async () => {
    const { views: own } = await views([])
    expect(own.view.value).toEqual(USUAL_VIEW)
    expect(own.views.value).toEqual([USUAL_VIEW])
  })

  it('shows what the set shows, in the order of the set, until somebody lays it out otherwise', async () => {
    const desk = {
      show: shownFields('mobile', 'site', 'Score'),
      ordered: true,
    }
    const { views: own } = await views([], desk)
    expect(own.view.value.columns).toEqual([
      'name',
      'age',
      'due',
      'band',
      'field:mobile',
      'site',
      'field:Score',
      'next',
    ])
    expect(own.view.value.sortBy).toBe('set')
    own.use({ ...own.view.value, sortBy: 'name' })
    await flushPromises()
    expect(own.view.value.sortBy).toBe('name')
  })

  it('keeps no field that the set does not show any more', async () => {
    const one = { ...MINE, columns: ['name', 'field:mobile', 'field:Score'], sortBy: 'set' }
    const { views: own } = await views([one], {
      show: shownFields('Score'),
      rows: [deskRow('Marl')],
    })
    expect(own.view.value.columns).toEqual(['name', 'field:Score'])
    expect(own.view.value.sortBy).toBe('due')
  })

  it('is the one that was used last, without columns that are no more', async () => {
    const { views: own } = await views([MINE])
    expect(own.view.value).toEqual({
      name: 'By phone',
      columns: ['name', 'phone'],
      sortBy: USUAL_VIEW.sortBy,
      descending: true,
      groupBy: 'site',
    })
    expect(own.views.value.map((one) => one.name)).toEqual(['By phone', USUAL_VIEW.name])
  })

  it('is kept when it is used, the one in use first', async () => {
    const { views: own, asked } = await views([MINE])
    own.use({ ...USUAL_VIEW, name: 'By band', groupBy: 'band' })
    await flushPromises()
    const put = asked.find((one) => one.method === 'PUT')
    expect((put?.body as { views: { name: string }[] }).views.map((one) => one.name)).toEqual([
      'By band',
      'By phone',
    ])
    expect(own.view.value.name).toBe('By band')
  })

  it('is kept one change after another, each from the revision before', async () => {
    const { views: own, asked } = await views([MINE])
    own.use({ ...USUAL_VIEW, name: 'By band', groupBy: 'band' })
    own.use({ ...USUAL_VIEW, name: 'By site', groupBy: 'site' })
    await flushPromises()
    await flushPromises()
    const puts = asked.filter((one) => one.method === 'PUT')
    expect(puts.map((one) => one.ifMatch)).toEqual(['"3"', '"4"'])
    expect(own.view.value.name).toBe('By site')
  })
})
