import { Problem, send, type Schemas } from '@/api/client'
import { csrfToken } from '@/api/csrf'
import { PERSON_FIELDS } from './intake'

export type ImportView = Schemas['ImportView']
export type DeliveryView = Schemas['DeliveryView']
export type FileKind = ImportView['kind']

/** Where a file is on its way in, as the page shows it. */
export type Step =
  | { at: 'nothing' }
  | { at: 'sending'; name: string; sent: number; total: number }
  | { at: 'inside'; file: ImportView }
  | { at: 'refused'; reason: string }

const OURS = new Set(['id', ...PERSON_FIELDS])

/**
 * What the header says that a file holds: events and people in our own format, or anything else. A column that is called
 * otherwise may be one of the practice's own, but most of ours are.
 */
export function kindOf(header: string): FileKind {
  const names = header
    .replace(/^\uFEFF/, '')
    .split(/[,;\t]/)
    .map((name) => name.replaceAll('"', '').trim().toLowerCase())
  if (names.includes('person_id') && names.includes('kind')) {
    return 'EVENTS'
  }
  const ours = names.filter((name) => OURS.has(name.split(':', 1)[0] ?? '')).length
  return names.includes('id') && ours * 2 >= names.length ? 'PEOPLE' : 'OTHER'
}

/** Files of these formats may be written one after another (docs/intakes.md). */
const MAY_BE_ONE = /\.(nd)?json$|\.hl7$|\.vcf$|\.ics$/i

function formatOf(file: File): string {
  return MAY_BE_ONE.exec(file.name)?.[0].toLowerCase().replace('nd', '') ?? ''
}

/** Several files of one export as one, so that what refers to another is found; nothing where they are no such files. */
export function together(files: readonly File[]): File | undefined {
  const [first, ...others] = files
  if (!first || others.length === 0) {
    return first
  }
  const format = formatOf(first)
  if (!format || others.some((file) => formatOf(file) !== format)) {
    return undefined
  }
  return new File(
    files.flatMap((file) => [file, '\n']),
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

const WORKING = new Set(['CHECKING', 'READING', 'TRYING', 'TAKING'])

/** Whether something is being done with a file at this moment. */
export function isWorking(stage: string): boolean {
  return WORKING.has(stage)
}

/** Asks again until nothing is being done with the file any more. */
export async function untilSettled<T extends { stage: string }>(
  address: string,
  tell: (view: T) => void,
): Promise<T> {
  for (;;) {
    const view = await send<T>(address)
    tell(view)
    if (!isWorking(view.stage)) {
      return view
    }
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS))
  }
}
