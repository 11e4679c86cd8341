import { expect, it } from 'vitest'
import { emptyDocument } from './document'
import { documentOf } from './files'

it('reads back what is written', () => {
  const document = { ...emptyDocument(), id: 'lithium', name: 'Lithium' }
  expect(documentOf(JSON.stringify(document))).toEqual(document)
})

it('says of another file that it is one', () => {
  expect(() => documentOf('id,name')).toThrow('no JSON')
  expect(() => documentOf('null')).toThrow('no criteria set')
  expect(() => documentOf('{"format": "another/1"}')).toThrow('no criteria set')
})

it('takes a document without a name, which is given on the bench', () => {
  expect(documentOf('{"format": "dipstick-criteria/1"}')).toMatchObject({ id: '', name: '' })
})
