import type { OptionField } from '@snowdrift/core'

type Fields = readonly (readonly [string, OptionField])[]

interface SplitOptions {
  readonly shown: Fields
  /** Lengths that hold as they usually do; they are set in the picture, too. */
  readonly more: Fields
}

/** A column of more fields than this is long. */
const mostShown = 7

/** The options of a way of making in a short column: choices, what was stated, what something is said of; then the rest. */
export function splitOptions(fields: Fields, isWanted: (key: string) => boolean): SplitOptions {
  if (fields.length <= mostShown) return { shown: fields, more: [] }
  const isMore = ([key, field]: Fields[number]) => field.field === 'length' && !isWanted(key)
  return { shown: fields.filter(field => !isMore(field)), more: fields.filter(isMore) }
}
