import { toMm, type Length } from '../length/length.js'
import type { Piece } from '../piece/piece.js'
import type { WorkPlace } from './step.js'

/** Paid by the first work at a place in a session. Source: docs/craft.md, Time. */
export const setUpMinutes: Readonly<Record<WorkPlace, number>> = {
  cutting: 3,
  iron: 1,
  machine: 4,
  glue: 4,
  table: 1,
  hand: 1,
  press: 1,
}

/** Coming back to a place in the same session. */
export const comingBackMinutes = 1

/** Beginners take half as long again. */
export const beginnersFactor = 1.5

/** Minutes of each operation; those named `…Per100` are for 100 mm. Source: docs/craft.md, Time. */
export const rates = {
  reading: 1,
  straightening: 3,
  cutting: 0.5,
  cuttingPer100: 0.15,
  boardFactor: 1.5,
  thickBoardFactor: 3,
  thickBoardMm: 2,
  label: 0.3,
  marking: 0.3,
  markingPer100: 0.1,
  fusingPerPlace: 0.25,
  fusingPlaceMm: 150,
  pinningPer75: 0.15,
  sewing: 0.5,
  sewingPer100: 0.4,
  corner: 0.3,
  besideZip: 0.5,
  besideZipPer100: 0.8,
  curve: 0.6,
  quiltingLine: 0.3,
  quiltingPer100: 0.35,
  zigzag: 0.5,
  zigzagPer100: 0.5,
  pressingPer100: 0.2,
  hem: 1,
  hemPer100: 0.8,
  foldedStrip: 2,
  foldedStripPer100: 0.9,
  clippedCorner: 0.2,
  clippedCurvePer10: 0.1,
  turning: 3,
  turnedCorner: 0.5,
  ladder: 1,
  ladderPer100: 4,
  button: 5,
  snap: 8,
  hookAndLoop: 4,
  gluePer100Cm2: 0.4,
  smoothing: 2,
  turnInPer100: 0.8,
  turnInCorner: 1,
  slitsAndTails: 4,
  hole: 0.5,
  template: 5,
  elasticRun: 1.5,
  knot: 1,
  station: 0.8,
  mitre: 3,
  inspecting: 0.5,
  trimmingPer100: 0.15,
  basting: 0.5,
  meltingMarks: 1,
  pressingCloth: 3,
  beadPer100: 0.6,
  tryingIn: 2,
} as const

/** Waits, in minutes. Source: docs/craft.md, Making. */
export const waits = {
  glueToFold: 30,
  glueToStitch: 120,
  night: 720,
  sealer: 60,
  fraySealer: 20,
  washAndDry: 180,
  cooling: 5,
} as const

const perHundred = (length: number) => length / 100

/** The edge of one piece as it is cut, in millimetres. */
export function edgeMm({ width, height }: Piece): number {
  return 2 * (toMm(width.cut) + toMm(height.cut))
}

/** Cutting so many of a piece out, with its label; board takes longer, thick board longer still. */
export function cuttingMinutes(piece: Piece, thickness: Length | undefined): number {
  const one = rates.cutting + rates.cuttingPer100 * perHundred(edgeMm(piece))
  return piece.count * (one * cuttingFactor(piece, thickness) + rates.label)
}

function cuttingFactor({ role }: Piece, thickness: Length | undefined): number {
  if (role !== 'board') return 1
  const thick = thickness !== undefined && toMm(thickness) > rates.thickBoardMm
  return thick ? rates.thickBoardFactor : rates.boardFactor
}

/** A seam so long, with so many corners. */
export function sewingMinutes(mm: number, corners = 0): number {
  return rates.sewing + rates.sewingPer100 * perHundred(mm) + rates.corner * corners
}

/** Half of sewing the same. */
export function bastingMinutes(mm: number): number {
  return rates.basting * sewingMinutes(mm)
}

export function besideZipMinutes(mm: number): number {
  return rates.besideZip + rates.besideZipPer100 * perHundred(mm)
}

export function quiltingMinutes(lines: number, mmEach: number): number {
  return lines * (rates.quiltingLine + rates.quiltingPer100 * perHundred(mmEach))
}

export function zigzagMinutes(mm: number, corners = 0): number {
  return rates.zigzag + rates.zigzagPer100 * perHundred(mm) + rates.corner * corners
}

export function pressingMinutes(mm: number): number {
  return rates.pressingPer100 * perHundred(mm)
}

export function hemMinutes(mm: number): number {
  return rates.hem + rates.hemPer100 * perHundred(mm)
}

export function foldedStripMinutes(mm: number): number {
  return rates.foldedStrip + rates.foldedStripPer100 * perHundred(mm)
}

export function markingMinutes(mm: number): number {
  return rates.marking + rates.markingPer100 * perHundred(mm)
}

/** As many places of 150 × 150 mm as the iron stands on. */
export function fusingMinutes({ width, height, count }: Piece): number {
  const area = toMm(width.cut) * toMm(height.cut)
  return count * rates.fusingPerPlace * Math.ceil(area / rates.fusingPlaceMm ** 2)
}

export function pinningMinutes(mm: number): number {
  return (rates.pinningPer75 * mm) / 75
}

export function turningMinutes(corners: number): number {
  return rates.turning + rates.turnedCorner * corners
}

export function ladderMinutes(mm: number): number {
  return rates.ladder + rates.ladderPer100 * perHundred(mm)
}

export function trimmingMinutes(mm: number): number {
  return rates.trimmingPer100 * perHundred(mm)
}

/** Glue brushed over so many square millimetres. */
export function gluingMinutes(areaMm2: number): number {
  return (rates.gluePer100Cm2 * areaMm2) / 10_000
}

export function beadMinutes(mm: number): number {
  return rates.beadPer100 * perHundred(mm)
}

export function turnInMinutes(mm: number, corners: number): number {
  return rates.turnInPer100 * perHundred(mm) + rates.turnInCorner * corners
}

/** To two decimals, as plans say it. */
export function roundMinutes(minutes: number): number {
  return Math.round(minutes * 100) / 100
}
