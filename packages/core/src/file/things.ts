import type { CoverFile, TypedObject, TypedReading } from './cover-schema.js'

/** What a cover file is for: its one thing, or all of several; empty where it says none yet. */
export function listThings({ object, objects }: CoverFile): readonly TypedObject[] {
  return objects ?? (object ? [object] : [])
}

/** The file with other things: one as `object`, several as `objects`. */
export function withThings(file: CoverFile, things: readonly TypedObject[]): CoverFile {
  const { object: _object, objects: _objects, ...rest } = file
  const [first, second] = things
  if (first && second) return { ...rest, objects: [...things] }
  return first ? { ...rest, object: first } : rest
}

/** The file with one thing changed; a thing at the end of the list is added. */
export function changeThing(
  file: CoverFile,
  index: number,
  change: (thing: TypedObject) => TypedObject,
): CoverFile {
  const things = [...listThings(file)]
  things[index] = change(things[index] ?? { kind: 'hardcover' })
  return withThings(file, things)
}

export function removeThing(file: CoverFile, index: number): CoverFile {
  return withThings(
    file,
    listThings(file).filter((_, at) => at !== index),
  )
}

/** A reading as it was typed, without how it was taken. */
export function textOfReading(reading: TypedReading): string {
  return String(typeof reading === 'object' ? reading.value : reading)
}
