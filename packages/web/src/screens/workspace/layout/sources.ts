import {
  avoidedOnStashPiece,
  formatLength,
  mm,
  sizeOfStashPiece,
  type CuttingBody,
  type CuttingGroup,
  type CuttingPin,
  type CuttingSource,
  type Length,
  type MaterialRow,
  type Pin,
  type SheetToUse,
  type StashPieceRow,
  type Unit,
} from '@snowdrift/core'

/** Where the cloth of one group comes from, as far as it is settled. */
export interface Source {
  readonly material: MaterialRow | undefined
  /** Every piece of the material that is free or kept for these covers. */
  readonly offered: readonly StashPieceRow[]
  readonly sheets: readonly SheetToUse[]
  readonly settings: CuttingSource
}

const unsettled: CuttingSource = { materialId: null, pieces: null, buy: true, width: null, sheet: null }

/** The stash row that a group is cut from: the one chosen, else the one of the same name and role; of no name, any. */
export function sourceOf(
  group: CuttingGroup,
  { sources, coverIds }: CuttingBody,
  materials: readonly MaterialRow[],
  pieces: readonly StashPieceRow[],
): Source {
  const settings = sources[group.key] ?? unsettled
  const ofRole = materials.filter(({ material: { role } }) => role === group.role)
  const named = group.material.trim().toLowerCase()
  const material =
    ofRole.find(({ id }) => id === settings.materialId) ??
    ofRole.find(({ material: { name } }) => named === '' || name.trim().toLowerCase() === named)
  const offered = material
    ? pieces.filter(
        ({ materialId, state, coverId }) =>
          materialId === material.id &&
          (state === 'free' || (coverId !== null && coverIds.includes(coverId))),
      )
    : []
  const chosen = offered.filter(({ id }) => settings.pieces === null || settings.pieces.includes(id))
  return {
    material,
    offered,
    settings,
    sheets: chosen.flatMap(piece => {
      const size = material && sizeOfStashPiece(piece, material.unit)
      if (!size) return []
      const avoid = avoidedOnStashPiece(piece, material.unit)
      return [
        {
          id: piece.id,
          ...size,
          washed: material.material.washed ?? false,
          ...(avoid.length > 0 && { avoid }),
        },
      ]
    }),
  }
}

/** The pins of a group by the piece that they hold. */
export function pinsOf(group: CuttingGroup, { pins }: CuttingBody): Readonly<Record<string, Pin>> {
  return Object.fromEntries(
    pins
      .filter(pin => pin.group === group.key)
      .map(({ piece, cloth, sheet, xMm, yMm, turned }) => [
        piece,
        { cloth, sheet, x: mm(xMm), y: mm(yMm), turned },
      ]),
  )
}

/** The pins with one more, or with one moved. */
export function withPin(pins: readonly CuttingPin[], pin: CuttingPin): readonly CuttingPin[] {
  return [...withoutPin(pins, pin.group, pin.piece), pin]
}

export function withoutPin(pins: readonly CuttingPin[], group: string, piece: string): readonly CuttingPin[] {
  return pins.filter(pin => pin.group !== group || pin.piece !== piece)
}

/** A piece of the stash in words: “remnant, 18 × 21 in”. */
export function sayStashPiece(piece: StashPieceRow, unit: Unit, into: Unit): string {
  const size = sizeOfStashPiece(piece, unit)
  const say = (length: Length, bare: boolean) =>
    formatLength(length, into, { style: 'proper', bare, finest: 16 })
  const sides = size ? `${say(size.width, true)} × ${say(size.length, false)}` : 'size unknown'
  return `${piece.source.replace('-', ' ')}, ${sides}${piece.note ? ` (${piece.note})` : ''}`
}
