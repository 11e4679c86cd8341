import { serving } from '@/testing'
import { afterEach, expect, it, vi } from 'vitest'
import { copyTable, type Wanted } from './takeOut'

afterEach(() => vi.unstubAllGlobals())

it('puts a table on the clipboard as a spreadsheet takes it', async () => {
  const copied: string[] = []
  const asked = serving({})
  vi.stubGlobal('fetch', (path: string, options: RequestInit) => {
    asked.push({ method: 'POST', path, ifMatch: null, body: JSON.parse(String(options.body)) })
    return Promise.resolve(
      new Response('id,name,why\r\n1,"Marl, Ada","No ""check"" yet"\r\n2,Bo,\r\n'),
    )
  })
  vi.stubGlobal('navigator', {
    clipboard: {
      writeText: (text: string) => {
        copied.push(text)
        return Promise.resolve()
      },
    },
  })
  await copyTable('/api/lists/kidney/out', { format: 'XLSX', people: ['1', '2'] } as Wanted)
  expect(asked[0]?.body).toEqual({ format: 'CSV', people: ['1', '2'] })
  expect(copied).toEqual(['id\tname\twhy\r\n1\tMarl, Ada\t"No ""check"" yet"\r\n2\tBo\t'])
})
