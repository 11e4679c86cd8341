import { json, Problem, send, sendJson, type Schemas } from '@/api/client'

/** Passkeys as browsers make and use them (W3C Web Authentication, level 3). */

const PASSKEYS = '/api/session/second-factor/passkeys'

/** Browsers that are too old, and addresses that are not safe, have none. */
export function canUsePasskeys(): boolean {
  return (
    typeof PublicKeyCredential !== 'undefined' &&
    'parseCreationOptionsFromJSON' in PublicKeyCredential
  )
}

/** Why a browser gave none, which it does not say further: it was left, it took too long, there is none. */
async function fromDevice(ask: () => Promise<Credential | null>): Promise<PublicKeyCredential> {
  try {
    const given = await ask()
    if (given instanceof PublicKeyCredential) {
      return given
    }
  } catch (failure) {
    if (failure instanceof DOMException && failure.name === 'InvalidStateError') {
      throw new Problem(0, 'passkey', 'This device has a passkey of yours already.')
    }
    if (!(failure instanceof DOMException)) {
      throw failure
    }
  }
  throw new Problem(0, 'passkey', 'The device gave no passkey. Nothing was changed; try again.')
}

/** @param label as its owner calls the device */
export async function makePasskey(current: string, label: string): Promise<void> {
  const options = await sendJson<PublicKeyCredentialCreationOptionsJSON>(
    'POST',
    `${PASSKEYS}/options`,
    { current },
  )
  const made = await fromDevice(() =>
    navigator.credentials.create({
      publicKey: PublicKeyCredential.parseCreationOptionsFromJSON(options),
    }),
  )
  await sendJson<Schemas['OwnPasskey'][]>('POST', PASSKEYS, { label, made: made.toJSON() })
}

/** Signs in whoever the device has a passkey of. */
export async function answerWithPasskey(): Promise<void> {
  const options = await send<PublicKeyCredentialRequestOptionsJSON>(
    '/api/sign-in/passkey/options',
    { method: 'POST' },
  )
  const answer = await fromDevice(() =>
    navigator.credentials.get({
      publicKey: PublicKeyCredential.parseRequestOptionsFromJSON(options),
    }),
  )
  await send('/api/sign-in/passkey', json('POST', answer.toJSON()))
}
