import { type Length } from '../length/length.js'
import { type Bench } from './bench.js'
import type { Draft } from './draft.js'
import { bastingMinutes, foldedStripMinutes, pinningMinutes, rates, trimmingMinutes } from './minutes.js'

/** A strip folded in four, or in three, and stitched. */
export function foldStrip(
  { say }: Bench,
  {
    id,
    name,
    piece,
    fold,
    lengthMm,
    count = 1,
    finished,
  }: {
    readonly id: string
    readonly name: string
    readonly piece: string
    readonly fold: 'four' | 'three'
    readonly lengthMm: number
    readonly count?: number
    readonly finished: Length
  },
): Draft {
  const folds =
    fold === 'four'
      ? 'Press it in half along its length, open it, press both raw edges to the crease, and fold again'
      : 'Fold it in three along its length, the raw edge inside'
  return {
    id,
    kind: 'sew',
    place: 'machine',
    minutes: count * foldedStripMinutes(lengthMm),
    stitchedMm: count * 2 * lengthMm,
    name,
    does: `${folds}: ${say(finished)} wide. Stitch along both long edges.`,
    why: 'Four plies do not stretch.',
    pieces: [piece],
    face: 'right side',
    tools: ['iron', 'sewing machine'],
    cautions: ['hot-iron', 'needles'],
    on: { piece, stage: 'dress' },
  }
}

/** Laying what a seam will catch on the right side, pointing inwards, and holding it. */
export function holdForSeam(
  { hands, say, seam }: Bench,
  {
    id,
    what,
    where,
    pieces = [],
    notions = [],
    carrier,
    lengthMm,
  }: {
    readonly id: string
    readonly what: string
    readonly where: string
    readonly pieces?: readonly string[]
    readonly notions?: readonly string[]
    readonly carrier: string
    readonly lengthMm: number
  },
): Draft {
  const baste = hands.hold === 'baste'
  return {
    id,
    kind: 'baste',
    place: baste ? 'machine' : 'table',
    minutes: baste ? bastingMinutes(lengthMm) : pinningMinutes(lengthMm),
    ...(baste && { stitchedMm: lengthMm }),
    name: `Hold ${what} for the seam`,
    does: `Lay ${what} on the right side of the ${carrier.replaceAll('-', ' ')} ${where}, pointing inwards, ends level with the cut edge or a little beyond. ${baste ? `Baste within the ${say(seam)} of seam` : 'Clip it, the clip’s flat side down'}.`,
    why: 'What lies wrong in a seam is unpicked with the seam.',
    pieces: [...pieces, carrier],
    notions,
    face: 'right side',
    tools: baste ? ['sewing machine'] : ['clips'],
    cautions: ['needles'],
    check: {
      ask: 'Does it point inwards, right side as it will be seen, not twisted, clear of the opening, and is its end caught deep enough?',
      ifNot: 'Take the basting out and lay it again.',
      cost: 'cheap',
    },
    goes: 'into-the-seam',
    on: { piece: carrier, stage: 'dress' },
  }
}

/** Marks, lines of quilting, marks melted away, and the trim to size. */
export function quiltPanel(
  bench: Bench,
  {
    piece,
    padding,
    lines,
    trims,
  }: {
    readonly piece: string
    readonly padding?: string
    /** How many lines, how long each, and how far apart they are. */
    readonly lines: { readonly count: number; readonly mmEach: number; readonly pitch: Length }
    readonly trims?: { readonly to: string; readonly size: string; readonly alongMm: number }
  },
): readonly Draft[] {
  const { say } = bench
  const on = (stage: 'quilt' | 'trim') => ({ on: { piece, stage } })
  const both = [piece, ...(padding ? [padding] : [])]
  return [
    {
      id: `mark-quilting-${piece}`,
      kind: 'mark',
      place: 'table',
      minutes: lines.count * (rates.marking + (rates.markingPer100 * lines.mmEach) / 100),
      name: 'Mark the quilting lines',
      does: `On the right side, from the middle out, ${say(lines.pitch)} apart, with a pen whose ink heat takes away; none where it will be trimmed.`,
      why: 'From the middle out, what is left over is the same on both sides.',
      pieces: [piece],
      face: 'right side',
      tools: ['heat-erasable pen', 'ruler'],
      ...on('quilt'),
    },
    {
      id: `quilt-${piece}`,
      kind: 'quilt',
      place: 'machine',
      minutes:
        lines.count * (rates.quiltingLine + (rates.quiltingPer100 * lines.mmEach) / 100) +
        pinningMinutes(lines.mmEach * 2),
      stitchedMm: lines.count * lines.mmEach,
      name: padding ? 'Quilt outer and padding together' : 'Quilt along the lines',
      does: padding
        ? 'Pin outer to padding, wrong side to the padding. Stitch every line from the middle out, all in one direction. No iron before it is done.'
        : 'Stitch every line from the middle out, all in one direction. No iron before it is done.',
      why: 'Heat would take the marks away; lines in one direction do not pucker.',
      pieces: both,
      face: 'right side',
      tools: ['even-feed foot', 'sewing machine'],
      cautions: ['needles'],
      needs: [`mark-quilting-${piece}`],
      ...on('quilt'),
    },
    {
      id: `melt-marks-${piece}`,
      kind: 'press',
      place: 'iron',
      minutes: rates.meltingMarks,
      name: 'Press the marks away',
      does: 'Hold the iron over the lines until the ink is gone; do not lean on the padding.',
      why: 'The quilting is done: now heat does no harm.',
      pieces: both,
      tools: ['iron'],
      cautions: ['hot-iron'],
      needs: [`quilt-${piece}`],
      ...on('quilt'),
    },
    ...(trims
      ? [
          {
            id: `trim-${piece}`,
            kind: 'trim',
            place: 'cutting',
            minutes: trimmingMinutes(trims.alongMm),
            name: 'Trim the quilted panel',
            does: `Lay it under the ruler and trim to ${trims.size}${trims.to}, the same off both sides.`,
            why: 'Quilting takes up cloth: only now is the size known.',
            pieces: both,
            face: 'right side',
            tools: ['ruler', bench.hands.rotaryCutter ? 'rotary cutter' : 'scissors'],
            cautions: ['blades'],
            check: {
              ask: 'Is the pattern of lines in the middle of what is left?',
              ifNot: 'Shift the ruler before you cut; after the cut it is a new panel.',
              cost: 'too-late',
            },
            gate: true,
            needs: [`melt-marks-${piece}`],
            ...on('trim'),
          } as const,
        ]
      : []),
  ]
}
