import {
  formatLength,
  withSetting,
  type Carried,
  type CoverFile,
  type PlacedExtra,
  type Unit,
} from '@snowdrift/core'

/** The cover file with something that was added carried to another place: what did not move goes on as it was said, or not. */
export function placeInFile(
  file: CoverFile,
  placed: Pick<PlacedExtra, 'extra' | 'moves' | 'x' | 'y'>,
  to: Pick<Carried, 'x' | 'y'>,
  unit: Unit,
): CoverFile {
  const { extra, moves } = placed
  const said = file.extras?.[extra] ?? {}
  return moves
    .filter(key => to[key] !== placed[key] || key in said)
    .reduce(
      (changed, key) => withSetting(changed, { kind: 'extra', extra, key }, formatLength(to[key], unit)),
      file,
    )
}
