import {
  formatLength,
  withSetting,
  type Carried,
  type CoverFile,
  type PlacedExtra,
  type Unit,
} from '@snowdrift/core'

/** The cover file with something that was added carried to another place: only what moves it is said. */
export function placeInFile(
  file: CoverFile,
  { extra, moves }: Pick<PlacedExtra, 'extra' | 'moves'>,
  to: Pick<Carried, 'x' | 'y'>,
  unit: Unit,
): CoverFile {
  return moves.reduce(
    (placed, key) => withSetting(placed, { kind: 'extra', extra, key }, formatLength(to[key], unit)),
    file,
  )
}
