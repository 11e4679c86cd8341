import { sendJson } from '@/api/client'
import { handOver } from '@/api/download'
import type { CriteriaDocument } from './document'

/** Gives the document to the browser as a file (criteria.md, section 4). */
export function downloadDocument(document: CriteriaDocument): void {
  const text = JSON.stringify(document, undefined, 2)
  handOver(new Blob([text], { type: 'application/json' }), `${document.id || 'new-set'}.json`)
}

/** Gives a set to the browser as a template for others: what differs from practice to practice is left open in it. */
export async function downloadTemplate(document: CriteriaDocument): Promise<void> {
  const made = await sendJson<{ template: unknown }>('POST', '/api/templates/made', { document })
  const text = JSON.stringify(made.template, undefined, 2)
  handOver(
    new Blob([text], { type: 'application/json' }),
    `${document.id || 'new-set'}.template.json`,
  )
}

/** The template in the text of a file; nothing where it is something else. */
export function templateOf(text: string): Record<string, unknown> | undefined {
  try {
    const json = JSON.parse(text) as { format?: unknown } | null
    const isOne = typeof json?.format === 'string' && json.format.startsWith('dipstick-template/')
    return isOne ? (json as Record<string, unknown>) : undefined
  } catch {
    return undefined
  }
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
