import type { Address } from './address'
import { csrfToken } from './csrf'
import { mayBeGivenUp } from './givenUp'
import type { components } from './schema'

/** The shapes that the server describes in its OpenAPI document. */
export type Schemas = components['schemas']

/** A problem detail (RFC 9457) as something to throw: `message` is a sentence for a person. */
export class Problem extends Error {
  readonly status: number
  readonly type: string
  readonly errors: { pointer: string; message: string }[]

  constructor(status: number, type: string, detail: string, errors: Problem['errors'] = []) {
    super(detail)
    this.status = status
    this.type = type
    this.errors = errors
  }
}

const OFFLINE =
  'The server cannot be reached. What you see is kept here; try again when the connection is back.'

/** Who is told when the sign-in has expired. */
let onSignedOut: () => void = () => undefined

export function whenSignedOut(tell: () => void): void {
  onSignedOut = tell
}

async function problemOf(response: Response): Promise<Problem> {
  const body: unknown = await response.json().catch(() => undefined)
  const detail = (body ?? {}) as { type?: string; detail?: string; errors?: Problem['errors'] }
  return new Problem(
    response.status,
    (detail.type ?? '').replace('urn:dipstick:', ''),
    detail.detail ?? 'Something went wrong on our side. What was saved before is kept; try again.',
    detail.errors,
  )
}

/** Sends a request and gives the answer; throws a {@link Problem} where it is refused. */
export async function answerOf(path: Address, options: RequestInit = {}): Promise<Response> {
  const headers = new Headers(options.headers)
  if (options.method && options.method !== 'GET') {
    headers.set('X-XSRF-TOKEN', csrfToken())
  }
  let response: Response
  const answered = options.signal ? mayBeGivenUp(headers, options.signal) : () => undefined
  try {
    response = await fetch(path, { ...options, headers })
  } catch (failure) {
    if (failure instanceof DOMException && failure.name === 'AbortError') {
      throw failure
    }
    throw new Problem(0, 'offline', OFFLINE)
  } finally {
    answered()
  }
  if (!response.ok) {
    const problem = await problemOf(response)
    if (problem.type === 'signed-out') {
      onSignedOut()
    }
    throw problem
  }
  return response
}

/** Sends a request and gives the answer's JSON. */
export async function send<T>(path: Address, options: RequestInit = {}): Promise<T> {
  const response = await answerOf(path, options)
  return (response.status === 204 ? undefined : await response.json()) as T
}

/** What is sent as JSON. */
export function json(
  method: 'POST' | 'PUT',
  body: unknown,
  options: RequestInit = {},
): RequestInit {
  const headers = new Headers(options.headers)
  headers.set('Content-Type', 'application/json')
  return { ...options, method, headers, body: JSON.stringify(body) }
}

/** Says to which revision of a thing a change was made. */
export function ifMatch(revision: number | undefined): RequestInit {
  return { headers: { 'If-Match': `"${String(revision ?? 0)}"` } }
}

/** Sends a JSON body. */
export function sendJson<T>(
  method: 'POST' | 'PUT',
  path: Address,
  body: unknown,
  options: RequestInit = {},
): Promise<T> {
  return send<T>(path, json(method, body, options))
}

/** The sentence to show for whatever was thrown; empty where nothing was. */
export function sentenceOf(failure: unknown): string {
  if (failure === null || failure === undefined) {
    return ''
  }
  return failure instanceof Error ? failure.message : String(failure)
}
