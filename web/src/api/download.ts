import type { Address } from './address'
import { answerOf, json } from './client'

/** Asks for a file and hands it to the browser to keep, under the name that comes with it. */
export async function keepAnswer(address: Address, asking: RequestInit = {}): Promise<void> {
  const response = await answerOf(address, asking)
  const name = /filename\*?=(?:UTF-8'')?"?([^";]+)/.exec(
    response.headers.get('Content-Disposition') ?? '',
  )?.[1]
  handOver(await response.blob(), decodeURIComponent(name ?? 'file'))
}

/** The same of a file that is said first: which one. */
export function keepFile(address: Address, wanted: unknown): Promise<void> {
  return keepAnswer(address, json('POST', wanted))
}

/** Hands something to the browser to keep as a file. */
export function handOver(file: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
