import { readFileSync, writeFileSync } from 'node:fs'

/** Writes how long and how large what a page sends may be, as the description of the API has it. */
const KEPT = ['minLength', 'maxLength', 'minimum', 'maximum', 'maxItems']

const { components, paths } = JSON.parse(readFileSync('../docs/openapi.json', 'utf8'))

function kept(property) {
  return Object.fromEntries(Object.entries(property).filter(([name]) => KEPT.includes(name)))
}

function limitsOf(schema) {
  return Object.fromEntries(
    Object.entries(schema.properties ?? {})
      .map(([name, property]) => [name, kept(property)])
      .filter(([, limits]) => Object.keys(limits).length > 0),
  )
}

const limits = Object.fromEntries(
  Object.entries(components.schemas)
    .map(([name, schema]) => [name, limitsOf(schema)])
    .filter(([, properties]) => Object.keys(properties).length > 0),
)

/** What stands in an address or behind its question mark. */
const parameters = Object.fromEntries(
  Object.entries(paths)
    .flatMap(([path, operations]) =>
      Object.entries(operations).map(([method, { parameters = [] }]) => [
        `${method.toUpperCase()} ${path}`,
        Object.fromEntries(
          parameters
            .map(({ name, schema }) => [name, kept(schema)])
            .filter(([, limits]) => Object.keys(limits).length > 0),
        ),
      ]),
    )
    .filter(([, limits]) => Object.keys(limits).length > 0),
)

const written = (name, value) =>
  `export const ${name} = ${JSON.stringify(value, null, 2)} as const\n`

writeFileSync(
  'src/api/limits.ts',
  `/** Made from docs/openapi.json. */\n${written('LIMITS', limits)}${written('PARAMETERS', parameters)}`,
)
