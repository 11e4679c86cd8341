import type { Address } from '@/api/address'
import { Problem, send, type Schemas } from '@/api/client'
import { csrfToken } from '@/api/csrf'
import formats from './formats.json'

export type DeliveryView = Schemas['DeliveryView']

/** Where a file is until it is sent, as the page shows it. */
export type Step =
  | { at: 'nothing' }
  | { at: 'sending'; name: string; sent: number; total: number }
  | { at: 'refused'; reason: string }

/** How names of files end that can be read. */
export const ENDINGS = formats.endings.map((ending) => `.${ending}`)

/** The formats of open standards, whose files may be written one after another (docs/intakes.md). */
export const STANDARDS = formats.standards.map(({ name }) => name)

function standardOf(file: File): string | undefined {
  const ending = file.name.split('.').at(-1)?.toLowerCase() ?? ''
  return formats.standards.find((standard) => standard.endings.includes(ending))?.name
}

/** Several files of one export as one, a blank line after each, so that what refers to another is found; nothing where they are no such files. */
export function together(files: readonly File[]): File | undefined {
  const [first, ...others] = files
  if (!first || others.length === 0) {
    return first
  }
  const standard = standardOf(first)
  if (!standard || others.some((file) => standardOf(file) !== standard)) {
    return undefined
  }
  return new File(
    files.flatMap((file) => [file, '\n\n']),
    first.name,
  )
}

/** Sends a file, telling how many bytes have gone. */
export function sendFile<T>(
  file: File,
  address: string,
  progress: (sent: number) => void,
): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest()
    request.open('POST', address)
    request.setRequestHeader('X-XSRF-TOKEN', csrfToken())
    request.setRequestHeader('Content-Type', 'application/octet-stream')
    request.responseType = 'json'
    request.upload.onprogress = (event) => {
      progress(event.loaded)
    }
    request.onload = () => {
      if (request.status === 200) {
        resolve(request.response as T)
      } else {
        const problem = request.response as { detail?: string } | null
        reject(
          new Problem(
            request.status,
            '',
            problem?.detail ?? 'The file could not be sent. Nothing was taken.',
          ),
        )
      }
    }
    request.onerror = () => {
      reject(
        new Problem(
          0,
          'offline',
          'The connection broke while the file was sent. Nothing was taken; try again.',
        ),
      )
    }
    request.send(file)
  })
}

const PAUSE_MS = 250

const WORKING = new Set(['READING', 'TRYING', 'TAKING'])

/** Whether something is being done with a file at this moment. */
export function isWorking(stage: string): boolean {
  return WORKING.has(stage)
}

/** Asks again until nothing is being done with the file any more, or nobody watches any more. */
export async function untilSettled<T extends { stage: string }>(
  address: Address,
  tell: (view: T) => void,
  isWatched: () => boolean,
): Promise<void> {
  while (isWatched()) {
    const view = await send<T>(address)
    tell(view)
    if (!isWorking(view.stage)) {
      return
    }
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS))
  }
}

const FIRST_TOLD_MS = 1000

/** How long it goes on, in words, as fast as it went until now; nothing where that is not known, or it is through. */
export function restWords(done: number, of: number, sinceMs: number): string {
  if (done === 0 || done >= of || sinceMs < FIRST_TOLD_MS) {
    return ''
  }
  const seconds = Math.max(1, Math.round((sinceMs * (of - done)) / done / 1000))
  const [rest, unit] = seconds < 90 ? [seconds, 'second'] : [Math.round(seconds / 60), 'minute']
  return `about ${String(rest)} ${unit}${rest === 1 ? '' : 's'} left`
}
