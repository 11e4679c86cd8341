import { csrfToken } from './csrf'

/** What is answered sooner is not worth a message of its own. */
const SLOW_MS = 400

/** The questions that are not answered yet, each with what gives it up. */
const open = new Set<() => void>()

// Who goes elsewhere, or closes the page, waits for nothing more.
addEventListener('pagehide', () => {
  open.forEach((giveUp) => giveUp())
})

/**
 * Names a question, so that the server stops working on it once it is given up.
 *
 * @returns what to call once it is answered
 */
export function mayBeGivenUp(headers: Headers, signal: AbortSignal): () => void {
  const name = Math.random().toString(36).slice(2) + Date.now().toString(36)
  const began = performance.now()
  headers.set('Question', name)
  const giveUp = () => {
    if (performance.now() - began > SLOW_MS) {
      void fetch(`/api/given-up/${name}`, {
        method: 'POST',
        headers: { 'X-XSRF-TOKEN': csrfToken() },
        keepalive: true,
      }).catch(() => undefined)
    }
  }
  const answered = () => {
    open.delete(giveUp)
    signal.removeEventListener('abort', giveUp)
  }
  open.add(giveUp)
  signal.addEventListener('abort', giveUp)
  return answered
}
