import { add, longest, scale, shortest, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { Job } from '../contract.js'
import { wallCuts, wallPanels } from '../device.js'
import { level, plainStrip, upright, type Strip, type StripLine } from '../strip.js'
import type { ResolvedOptions, SleeveOptions } from './options.js'
import type { Wall } from './size.js'

/** Both walls from outside, mouths at the top, with the quilting or the binding. */
export function layStrip(job: Job<SleeveOptions>, wall: Wall, options: ResolvedOptions): Strip {
  const width = wall.fitWidth.finished
  const high = wall.fitHeight.finished
  const edge = add(job.seam, wall.turnedEdge)
  const bound = options.edge === 'bound'
  const total = scale(width, 2)
  const cuts = wallCuts(
    width,
    { width: wall.width.cut, height: wall.height.cut },
    { side: edge, top: bound ? zero : edge },
  )
  const sides = [zero, width, total].map(x => upright(bound ? 'binding' : 'seam', x, high))
  return {
    ...plainStrip(wallPanels(width), high),
    cutPieces: cuts,
    lines: [
      ...sides,
      level(bound ? 'binding' : 'seam', high, zero, total),
      level(bound ? 'binding' : 'stitch', zero, zero, total),
      ...(options.quilted ? quiltingLines(job, width, high) : []),
      ...(options.quilted && options.quiltBothWays ? quiltingAcross(job, width, high) : []),
      ...(bound ? [] : openingInMouth(job, width, options)),
    ],
  }
}

/** At the back, clear of the middle where a loop hangs; what the back has no room for goes on round the side seam. */
function openingInMouth(
  { unit }: Job<SleeveOptions>,
  width: Length,
  { turningOpening }: ResolvedOptions,
): readonly StripLine[] {
  const end = subtract(scale(width, 1 / 2), customary(1, unit))
  const onBack = shortest(end, turningOpening)
  const total = scale(width, 2)
  const round = subtract(turningOpening, onBack)
  return [
    level('opening', zero, subtract(end, onBack), end),
    ...(round > zero ? [level('opening', zero, longest(width, subtract(total, round)), total)] : []),
  ]
}

/** Pitch 1½ in; the first pair ¾ in each side of the middle, so that a button sits between. */
function quiltingLines({ unit }: Job<SleeveOptions>, width: Length, high: Length): readonly StripLine[] {
  const pitch = customary(3 / 2, unit)
  const middle = scale(width, 1 / 2)
  const first = customary(3 / 4, unit)
  const pairs = Math.max(0, Math.floor((middle - first) / pitch + 1))
  const offsets = Array.from({ length: pairs }, (_, index) => add(first, scale(pitch, index)))
  return [zero, width].flatMap(left =>
    offsets.flatMap(offset => [
      upright('quilting', add(left, subtract(middle, offset)), high, 'outside'),
      upright('quilting', add(left, middle, offset), high, 'outside'),
    ]),
  )
}

/** The same pitch across each wall, from the middle of its height. */
function quiltingAcross({ unit }: Job<SleeveOptions>, width: Length, high: Length): readonly StripLine[] {
  const pitch = customary(3 / 2, unit)
  const half = scale(high, 1 / 2)
  const rows = Math.max(0, Math.floor(half / pitch))
  const offsets = Array.from({ length: 2 * rows + 1 }, (_, index) => scale(pitch, index - rows))
  return offsets.map(offset => level('quilting', add(half, offset), zero, scale(width, 2), 'outside'))
}
