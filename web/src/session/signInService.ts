/** Signing in at the practice's own service, which sends the browser back to us. */

const GO_ON = 'dipstick.go-on'

/** Why the service, or we, let nobody in; by the word that the server puts into the address. */
const REFUSALS: Record<string, string> = {
  away: 'The sign-in service does not answer. Try again in a minute, or ask whoever keeps it.',
  'not-vouched-for':
    'The sign-in service did not say who you are, or it took longer than five minutes. Try again.',
  'no-role':
    'The sign-in service knows you, but says of no role that you have here. Ask whoever keeps your accounts.',
  'no-name':
    'The sign-in service gives you no name that an account here can have. Ask whoever keeps your accounts.',
  'name-taken':
    'There is an account here with your name that is not yet yours. Ask an administrator of Dipstick.',
  closed: 'Your account here is closed. Ask an administrator of Dipstick.',
}

/** The sentence that an address such as {@code /?refused=away} stands for; empty where it has none. */
export function refusalIn(query: string): string {
  const word = new URLSearchParams(query).get('refused')
  return word === null
    ? ''
    : (REFUSALS[word] ?? 'The sign-in service did not let you in. Try again.')
}

/** Goes there, and remembers where somebody wanted to be. */
export function goToService(begins: string): void {
  sessionStorage.setItem(GO_ON, location.pathname + location.hash)
  location.assign(begins)
}

/** Where somebody wanted to be before they went there; told once. */
export function whereToGoOn(): string {
  const place = sessionStorage.getItem(GO_ON) ?? ''
  sessionStorage.removeItem(GO_ON)
  return place === '/' ? '' : place
}
