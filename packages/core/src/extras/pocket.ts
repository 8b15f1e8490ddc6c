import type { Trait } from '../families/trait.js'
import { lengthOption } from '../families/option-fields.js'
import type { StripLine, StripShape } from '../families/strip.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import { add, longest, mm, scale, subtract, zero, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import { layerOf, outerOf, type Stack } from '../material/layer.js'
import type { Notion } from '../piece/notion.js'
import type { Piece } from '../piece/piece.js'
import { extraPlan, type ExtraBrief, type ExtraJob, type ExtraPlan } from './contract.js'
import { type Place } from './place-keys.js'
import { findGround, footprintOn, placeOn, placeOptions, type Ground, type Size } from './place.js'

export interface PocketOptions extends Place {
  readonly width?: Length | undefined
  readonly height?: Length | undefined
  readonly contents?: Length | undefined
}

/** Width and height as finished, what goes in, and where it sits: a part of every pocket's options. */
export function pocketOptions(unit: Unit) {
  const range = { min: mm(10), max: mm(1000) }
  return {
    width: lengthOption(unit, range, {
      label: 'Pocket width',
      help: 'Finished. All but {½ in} at each side of its piece unless set.',
    }),
    height: lengthOption(unit, range, {
      label: 'Pocket height',
      help: 'Finished, foot to mouth. Half of its piece unless set.',
    }),
    contents: lengthOption(
      unit,
      { min: zero, max: mm(60) },
      {
        label: 'What goes in is thick',
        help: 'Counts where the pocket sits inside: the closed cover goes round it.',
      },
    ),
    ...placeOptions(unit),
  }
}

/** Turned under at the sides and at the foot. */
export function turnedUnder(unit: Unit): Length {
  return customary(1 / 4, unit)
}

/** What a pocket adds to the closed thing: its plies and its contents, unless it sits outside. */
export function pocketThickness(
  { stack, traits, options }: ExtraBrief<PocketOptions>,
  plies: (stack: Stack) => Length,
): Length {
  const outside = options.on === undefined ? traits.includes('device') : options.on === 'outer'
  return outside ? zero : add(plies(stack), options.contents ?? zero)
}

export function onePly(stack: Stack): Length {
  return outerOf(stack).thickness
}

export function facedPly(stack: Stack): Length {
  return add(outerOf(stack).thickness, layerOf(stack, 'lining')?.thickness ?? outerOf(stack).thickness)
}

/** The pieces that usually carry a pocket, the likeliest first. */
function usualGround(traits: readonly Trait[]): readonly string[] {
  return traits.includes('device') ? ['outer'] : ['flap', 'flap-outer', 'lining', 'outer']
}

/** What a kind of pocket brings once its size is settled. */
export interface PocketMake {
  readonly pieces: readonly Piece[]
  readonly notions?: readonly Notion[]
  readonly findings?: readonly Finding[]
  /** Lines inside it, from its own top left corner. */
  readonly lines?: readonly StripLine[]
}

/** Plans a pocket on its ground: size, place, shape on the strip. `make` says what it is cut from. */
export function planPocket(
  job: ExtraJob<PocketOptions>,
  name: string,
  make: (size: Size) => PocketMake,
  fixedWidth?: Length,
): ExtraPlan {
  const { cover, options, traits, unit, about } = job
  const ground = findGround(cover, options.on, usualGround(traits))
  if (!ground)
    return extraPlan({
      findings: findingWhen(true, 'extra-not-carried', about, {
        extra: name,
        why: `there is no piece “${options.on ?? 'lining'}” to sew it on.`,
      }),
    })
  const size = sizeOn(ground, options, unit, fixedWidth)
  const at = placeOn(ground, options, size)
  const made = make(size)
  const shape: StripShape = {
    ...size,
    at,
    piece: made.pieces[0]?.id ?? 'pocket',
    name,
    face: ground.face,
  }
  return extraPlan({
    pieces: made.pieces,
    notions: made.notions ?? [],
    findings: made.findings ?? [],
    shapes: [shape],
    lines: [mouthLine(size, unit), ...(made.lines ?? [])].map(line => moved(line, at, ground)),
    footprints: [footprintOn(ground, at, size)],
  })
}

/** A line of stitches ¼ in below the mouth tells which side stays open. */
function mouthLine({ width }: Size, unit: Unit): StripLine {
  const y = customary(1 / 4, unit)
  return { kind: 'hem', from: [zero, y], to: [width, y] }
}

function sizeOn(ground: Ground, { width, height }: PocketOptions, unit: Unit, fixedWidth?: Length): Size {
  const inset = customary(1 / 2, unit)
  const room = longest(mm(20), subtract(ground.width, scale(inset, 2)))
  return { width: width ?? fixedWidth ?? room, height: height ?? scale(ground.height, 1 / 2) }
}

function moved(line: StripLine, [x, y]: readonly [Length, Length], { face }: Ground): StripLine {
  const shift = (point: StripLine['from']) => [add(point[0], x), add(point[1], y)] as const
  return { ...line, face, from: shift(line.from), to: shift(line.to) }
}
