import { placeKeys, type Extra, type OptionField, type Trait, type TypedExtra } from '@snowdrift/core'

type Fields = readonly (readonly [string, OptionField])[]

interface SplitFields {
  /** What it is like. */
  readonly own: Fields
  /** What moves it on this cover, and what its file says of its place all the same, so that it can be taken out. */
  readonly place: Fields
}

/** The fields of an extra, those of its place apart. */
export function splitPlaceFields(
  extra: Pick<Extra, 'places'>,
  typed: TypedExtra,
  traits: readonly Trait[],
  fields: Fields,
): SplitFields {
  const all: readonly string[] = placeKeys
  const heeded: readonly string[] = extra.places(traits)
  return {
    own: fields.filter(([key]) => !all.includes(key)),
    place: fields.filter(([key]) => all.includes(key) && (heeded.includes(key) || key in typed)),
  }
}
