import type { Json, JsonObject } from './document'

/** The parts of a JSON Pointer (RFC 6901). */
function parts(pointer: string): string[] {
  return pointer === ''
    ? []
    : pointer
        .slice(1)
        .split('/')
        .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'))
}

/** What stands at the pointer; nothing where there is no such spot. */
export function getAt(json: Json, pointer: string): Json | undefined {
  let at: Json | undefined = json
  for (const part of parts(pointer)) {
    at = Array.isArray(at) ? at[Number(part)] : (at as JsonObject | undefined)?.[part]
  }
  return at
}

/** The same JSON with another value at the pointer; where it is undefined, the spot is taken out. */
export function setAt(json: Json, pointer: string, value: Json | undefined): Json {
  return put(json, parts(pointer), value) ?? null
}

function put(json: Json, path: string[], value: Json | undefined): Json | undefined {
  const [part, ...rest] = path
  if (part === undefined) {
    return value
  }
  if (Array.isArray(json)) {
    const index = Number(part)
    const changed = put(json[index] ?? null, rest, value)
    return changed === undefined
      ? json.filter((_, i) => i !== index)
      : json.map((item, i) => (i === index ? changed : item))
  }
  const object = json as JsonObject
  const changed = put(object[part] ?? null, rest, value)
  if (changed === undefined) {
    return Object.fromEntries(Object.entries(object).filter(([key]) => key !== part))
  }
  return { ...object, [part]: changed }
}
