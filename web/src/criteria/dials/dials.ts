import { sameText } from '@/normalText'
import type { InjectionKey } from 'vue'
import {
  firstFree,
  slug,
  withKey,
  withOne,
  type CriteriaDocument,
  type Json,
  type JsonObject,
} from '../document'

export type DialType = 'period' | 'number' | 'date' | 'text' | 'texts'

/** A value that may be turned when a set is run (criteria.md, section 4). */
export interface Dial extends JsonObject {
  name: string
  label: string
  type: DialType
  default: Json
}

/** What an editor of a slot needs to let a value be turned. */
export interface Turning {
  /** The dial that stands for a value; nothing where the value is itself. */
  dialAt: (value: Json | undefined) => Dial | undefined
  /** Makes a dial that begins at a value; gives what stands for it. */
  letTurn: (type: DialType, label: string, value: Json, field?: string) => JsonObject
}

export const TURNING: InjectionKey<Turning> = Symbol('turning')

export function dialsOf(document: CriteriaDocument): Dial[] {
  return ((document.dials ?? []) as (JsonObject & Partial<Dial>)[]).map((one) => ({
    ...one,
    name: one.name ?? '',
    label: one.label ?? one.name ?? '',
    type: one.type ?? 'text',
    default: one.default ?? null,
  }))
}

export function nameOfDial(value: Json | undefined): string | undefined {
  const name = value !== null && typeof value === 'object' && !Array.isArray(value) && value.dial
  return typeof name === 'string' ? name : undefined
}

/** A dial with a name that none of the others has. */
export function newDial(
  taken: Set<string>,
  type: DialType,
  label: string,
  value: Json,
  field?: string,
): Dial {
  const name = firstFree(slug(label) || 'dial', taken)
  return { name, label, type, default: value, ...(field ? { choicesFrom: field } : {}) }
}

/** Adds a dial, or replaces the one of the same name. */
export function putDial(document: CriteriaDocument, dial: Dial): CriteriaDocument {
  const dials = withOne(dialsOf(document), dial, ({ name }) => name === dial.name)
  return { ...document, dials }
}

/** Takes a dial out; wherever it stood its default stands then. */
export function fixDial(document: CriteriaDocument, dial: Dial): CriteriaDocument {
  const left = dialsOf(document).filter((one) => one.name !== dial.name)
  const fixed = withFixed(withKey(document, 'dials', undefined), dial) as CriteriaDocument
  return left.length === 0 ? fixed : { ...fixed, dials: left }
}

function withFixed(json: Json, dial: Dial): Json {
  if (nameOfDial(json) === dial.name) {
    return dial.default
  }
  if (Array.isArray(json)) {
    return json.map((one) => withFixed(one, dial))
  }
  if (json !== null && typeof json === 'object') {
    return Object.fromEntries(Object.entries(json).map(([key, one]) => [key, withFixed(one, dial)]))
  }
  return json
}

/** A value as the server takes it as a setting. */
export function settingOf(value: Json): string {
  return Array.isArray(value) ? value.map(String).join(';') : String(value)
}

/** The value of a setting, for the control that changes it. */
export function valueOf(type: DialType, setting: string): Json {
  switch (type) {
    case 'number':
      return Number(setting)
    case 'texts':
      return setting
        .split(';')
        .map((text) => text.trim())
        .filter((text) => text !== '')
    default:
      return setting
  }
}

/** Whether a value is one of those that may be chosen, as values of its type are compared (criteria.md, section 4, dials). */
export function isAmong(type: DialType, value: Json, choices: readonly Json[]): boolean {
  const isSame = (one: Json, other: Json) => {
    switch (type) {
      case 'number':
        return Number(one) === Number(other)
      case 'text':
      case 'texts':
        return sameText(String(one), String(other))
      default:
        return one === other
    }
  }
  const values: readonly Json[] = Array.isArray(value) ? value : [value]
  return values.every((one) => choices.some((choice) => isSame(one, choice)))
}

/** Only the settings of dials that there still are. */
export function settingsFor(
  document: CriteriaDocument,
  settings: Record<string, string>,
): Record<string, string> {
  const names = new Set(dialsOf(document).map((one) => one.name))
  return Object.fromEntries(Object.entries(settings).filter(([name]) => names.has(name)))
}
