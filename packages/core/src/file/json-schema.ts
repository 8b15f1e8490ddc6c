import { z } from 'zod'
import { extras } from '../extras/registry.js'
import { families } from '../families/registry.js'
import { sayAmounts } from '../length/amounts.js'
import { coverSchema } from './cover-schema.js'

/** The cover file as JSON Schema (draft 2020-12), with the options of every family and extra. */
export function coverJsonSchema(): Record<string, unknown> {
  const schema = toSchema(coverSchema('in')) as { properties: Record<string, Record<string, unknown>> }
  const properties = {
    ...schema.properties,
    family: { type: 'string', enum: families.map(({ id }) => id) },
    extras: { type: 'array', maxItems: 40, items: { oneOf: extras.map(describeExtra) } },
  }
  return {
    ...schema,
    title: 'Snowdrift cover file, version 2',
    properties,
    allOf: families.map(family => ({
      if: { properties: { family: { const: family.id } } },
      then: { properties: { options: withoutDialect(toSchema(family.options('in'))) } },
    })),
  }
}

function describeExtra(extra: (typeof extras)[number]): Record<string, unknown> {
  const { properties, ...rest } = withoutDialect(toSchema(extra.options('in'))) as { properties: object }
  return { ...rest, properties: { type: { const: extra.type }, ...properties }, required: ['type'] }
}

function toSchema(schema: z.ZodType): Record<string, unknown> {
  return z.toJSONSchema(schema, {
    io: 'input',
    unrepresentable: 'any',
    override: ({ jsonSchema }) => {
      const { help } = jsonSchema as { help?: string }
      if (help !== undefined) Object.assign(jsonSchema, { help: sayAmounts(help, 'in', 'plain') })
    },
  })
}

function withoutDialect({ $schema: _dialect, ...schema }: Record<string, unknown>): Record<string, unknown> {
  return schema
}
