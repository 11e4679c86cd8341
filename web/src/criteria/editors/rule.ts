import type { Json, JsonObject } from '../document'

/** How many of several are enough. The number is kept while the form is another, so that it comes back. */
export interface Rule {
  form: 'any' | 'all' | 'atLeast'
  number: number
}

/** The rule of the should-have section, as it stands in the document. */
export function ruleOf(json: Json | undefined): Rule {
  if (json === 'all' || json === 'any' || json === undefined) {
    return { form: json ?? 'any', number: 1 }
  }
  return { form: 'atLeast', number: numberOf((json as JsonObject).atLeast) }
}

export function ruleAsJson(rule: Rule): Json {
  return rule.form === 'atLeast' ? { atLeast: rule.number } : rule.form
}

/** The rule of a group, and its parts. */
export function groupOf(test: JsonObject): { rule: Rule; parts: Json[] } {
  const form = 'all' in test ? 'all' : 'any' in test ? 'any' : 'atLeast'
  const parts = test[form === 'atLeast' ? 'of' : form]
  return {
    rule: { form, number: numberOf(test.atLeast) },
    parts: Array.isArray(parts) ? parts : [],
  }
}

export function groupAsJson(rule: Rule, parts: Json[]): JsonObject {
  return rule.form === 'atLeast' ? { atLeast: rule.number, of: parts } : { [rule.form]: parts }
}

function numberOf(json: Json | undefined): number {
  return typeof json === 'number' ? json : 1
}
