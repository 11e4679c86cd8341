import type { paths } from './schema'

/** A path of the description with words of ours where it has a name in braces. */
type Filled<Path extends string> = Path extends `${infer Before}{${string}}${infer After}`
  ? `${Before}${string}${Filled<After>}`
  : Path

/** Answered before anything is described: signing in and out. */
type Gate =
  '/api/sign-in' | '/api/sign-in/passkey' | '/api/sign-in/passkey/options' | '/api/sign-out'

/** An address of the description, with nothing asked of it. */
export type Described = Filled<Extract<keyof paths, `/api/${string}`>>

/** An address that the server describes in its OpenAPI document; what is asked of it may follow a question mark. */
export type Address = Gate | Described | `${Described}?${string}`
