import { beforeEach, expect, it } from 'vitest'
import { nextTick, ref } from 'vue'
import { emptyDocument } from './document'
import { hasKeptDraft, useKeptDraft } from './keptDraft'

const draft = { document: { ...emptyDocument(), name: 'Lithium' }, at: '2026-11-23T09:00:00Z' }

beforeEach(() => {
  localStorage.clear()
})

it('comes back for the same account and set only', () => {
  useKeptDraft('orla', 'lithium').value = draft
  expect(useKeptDraft('orla', 'lithium').value).toEqual(draft)
  expect(useKeptDraft('tam', 'lithium').value).toBeNull()
  expect(useKeptDraft('orla', 'hearing').value).toBeNull()
  expect(hasKeptDraft('orla', 'lithium')).toBe(true)
  expect(hasKeptDraft('orla', 'hearing')).toBe(false)
})

it('is gone once there is nothing to keep', () => {
  const kept = useKeptDraft('orla', 'lithium')
  kept.value = draft
  kept.value = null
  expect(useKeptDraft('orla', 'lithium').value).toBeNull()
  expect(hasKeptDraft('orla', 'lithium')).toBe(false)
})

it('goes with the set that is looked at', async () => {
  const id = ref('lithium')
  const kept = useKeptDraft('orla', id)
  kept.value = draft
  id.value = 'hearing'
  await nextTick()
  expect(kept.value).toBeNull()
  expect(hasKeptDraft('orla', 'hearing')).toBe(false)
  id.value = 'lithium'
  await nextTick()
  expect(kept.value).toEqual(draft)
})
