import { handOver } from '@/api/download'
import type { CriteriaDocument } from './document'

/** Gives the document to the browser as a file (criteria.md, section 4). */
export function downloadDocument(document: CriteriaDocument): void {
  const text = JSON.stringify(document, undefined, 2)
  handOver(new Blob([text], { type: 'application/json' }), `${document.id || 'new-set'}.json`)
}

/** Reads a document from the text of a file; throws an error with a sentence where it is something else. */
export function documentOf(text: string): CriteriaDocument {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    throw new Error('This file is no JSON, so it cannot be a criteria set. Nothing was changed.')
  }
  const format = (json as { format?: unknown } | null)?.format
  if (typeof format !== 'string' || !format.startsWith('dipstick-criteria/')) {
    throw new Error(
      'This file is no criteria set: its “format” should be dipstick-criteria/1. Nothing was changed.',
    )
  }
  const { id, name } = json as Partial<CriteriaDocument>
  return {
    ...(json as CriteriaDocument),
    id: typeof id === 'string' ? id : '',
    name: typeof name === 'string' ? name : '',
  }
}
