import { Problem, send, type Schemas } from '@/api/client'
import { csrfToken } from '@/api/csrf'

export type ImportView = Schemas['ImportView']
export type FileKind = ImportView['kind']

/** Where a file is on its way in, as the page shows it. */
export type Step =
  | { at: 'nothing' }
  | { at: 'sending'; name: string; sent: number; total: number }
  | { at: 'inside'; file: ImportView }
  | { at: 'refused'; reason: string }

/** Guesses from the header what a file holds: only events name a person besides themselves. */
export function kindOf(header: string): FileKind {
  return /(^|[,;\t"\s])person_id($|[,;\t"\s])/i.test(header) ? 'EVENTS' : 'PEOPLE'
}

/** Sends a file, telling how many bytes have gone. */
export function sendFile(
  file: File,
  kind: FileKind,
  progress: (sent: number) => void,
): Promise<ImportView> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest()
    request.open('POST', `/api/imports?kind=${kind}&name=${encodeURIComponent(file.name)}`)
    request.setRequestHeader('X-XSRF-TOKEN', csrfToken())
    request.setRequestHeader('Content-Type', 'application/octet-stream')
    request.responseType = 'json'
    request.upload.onprogress = (event) => {
      progress(event.loaded)
    }
    request.onload = () => {
      if (request.status === 200) {
        resolve(request.response as ImportView)
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

/** Asks again until the file is neither being read through nor being taken. */
export async function untilSettled(
  id: string,
  tell: (view: ImportView) => void,
): Promise<ImportView> {
  for (;;) {
    const view = await send<ImportView>(`/api/imports/${id}`)
    tell(view)
    if (view.stage !== 'CHECKING' && view.stage !== 'TAKING') {
      return view
    }
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS))
  }
}
