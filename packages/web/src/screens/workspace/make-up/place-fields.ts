import { placeKeys, type Extra, type OptionField, type Trait, type TypedExtra } from '@snowdrift/core'

type Fields = readonly (readonly [string, OptionField])[]

interface SplitFields {
  /** What it sits on, where that can be chosen, and what it is like. */
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
  const first = heeded.includes('on') ? fields.filter(([key]) => key === 'on') : []
  return {
    own: [...first, ...fields.filter(([key]) => !all.includes(key))],
    place: fields.filter(
      ([key]) =>
        all.includes(key) &&
        !first.some(([shown]) => shown === key) &&
        (heeded.includes(key) || key in typed),
    ),
  }
}
