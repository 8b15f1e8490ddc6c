import type { Outline, Place, Stroke } from './outline'

/** What a cutting machine made of a file, or would make of it. */
export interface CutRun {
  readonly strokes: readonly (Stroke & {
    /** Whether part of it lies outside the bed. */
    readonly isOver: boolean
    /** Whether the machine has a tool for its layer. */
    readonly isCut: boolean
  })[]
  readonly seconds: number
  readonly cutMm: number
  /** How far the outline reaches over the bed, to the right and upwards; nought where it fits. */
  readonly over: {
    readonly right: number
    readonly top: number
    readonly left: number
    readonly bottom: number
  }
  /** Layers that it has no tool for. */
  readonly missed: readonly string[]
  readonly ignored: readonly string[]
  /** How much of the strokes was done when the connection broke; 1 for all. */
  readonly done: number
}

/** A machine that draws a knife along outlines. */
export interface CuttingMachine {
  readonly name: string
  readonly bed: { readonly width: number; readonly height: number }
  readonly cut: (outline: Outline) => CutRun
}

export interface CutterSettings {
  /** In millimetres. */
  readonly bed: { readonly width: number; readonly height: number }
  /** The layers that it has a tool for. */
  readonly tools: readonly string[]
  /** A blunt blade goes along every line twice. */
  readonly isBlunt: boolean
  /** The part of the way after which the connection breaks; 1 for never. */
  readonly breaksAfter: number
}

export const usualCutter: CutterSettings = {
  bed: { width: 610, height: 610 },
  tools: ['cut', 'fold', 'mark'],
  isBlunt: false,
  breaksAfter: 1,
}

const cutMmPerSecond = 40
const moveMmPerSecond = 150
/** Down and up again. */
const liftSeconds = 0.25

/** A cutting machine that ships with the application: it follows a file as a real one would, and says what goes wrong. */
export function createSimulatedCutter({ bed, tools, isBlunt, breaksAfter }: CutterSettings): CuttingMachine {
  return {
    name: 'Simulated cutting machine',
    bed,
    cut: ({ strokes, ignored }) => {
      const ours = strokes.map(stroke => ({
        ...stroke,
        isOver: stroke.places.some(place => isOutside(place, bed)),
        isCut: tools.includes(stroke.layer),
      }))
      const wanted = ours.filter(({ isCut }) => isCut)
      const done = wanted.slice(0, Math.floor(wanted.length * breaksAfter))
      const cutMm = done.reduce((sum, { places }) => sum + lengthAlong(places), 0) * (isBlunt ? 2 : 1)
      return {
        strokes: ours,
        cutMm,
        seconds: cutMm / cutMmPerSecond + movesOf(done) / moveMmPerSecond + done.length * liftSeconds,
        over: overOf(ours, bed),
        missed: [...new Set(ours.filter(({ isCut }) => !isCut).map(({ layer }) => layer))],
        ignored,
        done: wanted.length === 0 ? 1 : done.length / wanted.length,
      }
    },
  }
}

/** What a rounding may put outside. */
const forgivenMm = 0.05

function isOutside([x, y]: Place, { width, height }: CutterSettings['bed']): boolean {
  return x < -forgivenMm || y < -forgivenMm || x > width + forgivenMm || y > height + forgivenMm
}

function overOf(strokes: readonly Stroke[], { width, height }: CutterSettings['bed']): CutRun['over'] {
  let [left, bottom, right, top] = [0, 0, 0, 0]
  for (const { places } of strokes)
    for (const [x, y] of places) {
      left = Math.max(left, -x)
      bottom = Math.max(bottom, -y)
      right = Math.max(right, x - width)
      top = Math.max(top, y - height)
    }
  const over = (mm: number) => (mm > forgivenMm ? mm : 0)
  return { left: over(left), bottom: over(bottom), right: over(right), top: over(top) }
}

function lengthAlong(places: readonly Place[]): number {
  let sum = 0
  for (let at = 1; at < places.length; at++) sum += between(places[at - 1], places[at])
  return sum
}

/** The ways with the knife up, from the corner of the bed on. */
function movesOf(strokes: readonly Stroke[]): number {
  let at: Place = [0, 0]
  let sum = 0
  for (const { places } of strokes) {
    sum += between(at, places[0])
    at = places.at(-1) ?? at
  }
  return sum
}

function between(one: Place | undefined, other: Place | undefined): number {
  return one && other ? Math.hypot(other[0] - one[0], other[1] - one[1]) : 0
}
