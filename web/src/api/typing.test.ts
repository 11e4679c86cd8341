import { nextTick, ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { useTyping, type Kept } from './typing'

const headers = (options: RequestInit) => new Headers(options.headers).get('If-Match')

function letter(body: string, revision: number): Kept<{ body: string }> {
  return { value: { body }, revision }
}

async function typing(kept: Record<string, Kept<{ body: string }>>, first = 'recall') {
  const of = ref(first)
  const all = ref(kept)
  const typed = useTyping(
    () => of.value,
    () => all.value[of.value],
  )
  await nextTick()
  const type = (body: string) => {
    typed.draft.value = { body }
  }
  return { of, all, typed, type }
}

describe('what is typed', () => {
  it('takes over what comes from the server while nothing is typed', async () => {
    const { all, typed } = await typing({ recall: letter('one', 1) })
    all.value = { recall: letter('two', 2) }
    await nextTick()
    expect(typed.draft.value).toEqual({ body: 'two' })
    expect(headers(typed.ifMatch.value)).toBe('"2"')
  })

  it('stays, and is saved from the revision that it was made to', async () => {
    const { all, typed, type } = await typing({ recall: letter('one', 1) })
    type('mine')
    all.value = { recall: letter('theirs', 2) }
    await nextTick()
    expect(typed.draft.value).toEqual({ body: 'mine' })
    expect(headers(typed.ifMatch.value)).toBe('"1"')
    typed.begin()
    expect(typed.draft.value).toEqual({ body: 'theirs' })
    expect(headers(typed.ifMatch.value)).toBe('"2"')
  })

  it('while a save is under way is kept, and still to be saved', async () => {
    const { all, typed, type } = await typing({ recall: letter('one', 1) })
    type('sent')
    type('sent, and more')
    typed.saved({ body: 'sent' }, 2)
    all.value = { recall: letter('sent', 2) }
    await nextTick()
    expect(typed.draft.value).toEqual({ body: 'sent, and more' })
    expect(typed.touched.value).toBe(true)
    expect(headers(typed.ifMatch.value)).toBe('"2"')
  })

  it('over one is never for another, and is there when it is come back to', async () => {
    const { of, typed, type } = await typing({ recall: letter('r', 1), review: letter('v', 7) })
    type('recall, changed')
    of.value = 'review'
    await nextTick()
    expect(typed.draft.value).toEqual({ body: 'v' })
    expect(headers(typed.ifMatch.value)).toBe('"7"')
    of.value = 'recall'
    await nextTick()
    expect(typed.draft.value).toEqual({ body: 'recall, changed' })
    expect(headers(typed.ifMatch.value)).toBe('"1"')
  })

  it('goes on as something new where there is none yet', async () => {
    const { of, all, typed } = await typing({ recall: letter('r', 4) })
    of.value = 'new one'
    await nextTick()
    expect(typed.draft.value).toEqual({ body: 'r' })
    expect(headers(typed.ifMatch.value)).toBe('"0"')
    typed.saved({ body: 'r' }, 1)
    all.value = { ...all.value, 'new one': letter('r', 1) }
    await nextTick()
    expect(typed.touched.value).toBe(false)
    expect(headers(typed.ifMatch.value)).toBe('"1"')
  })
})
