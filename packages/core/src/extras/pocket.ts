import { z } from 'zod'
import type { Trait } from '../families/trait.js'
import { lengthOption, yesNoOption, type OptionField } from '../families/option-fields.js'
import type { StripLine, StripShape } from '../families/strip.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import { add, longest, mm, scale, subtract, zero, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import { layerOf, outerOf, type Stack } from '../material/layer.js'
import type { Notion } from '../piece/notion.js'
import type { Piece } from '../piece/piece.js'
import { because, twice, type Reason } from '../piece/reason.js'
import { extraPlan, type ExtraBrief, type ExtraJob, type ExtraPlan, type Ground } from './contract.js'
import { type Place } from './place-keys.js'
import { findGround, footprintOn, placeOn, placeOptions, type Size } from './place.js'

export interface PocketOptions extends Place {
  readonly width?: Length | undefined
  readonly height?: Length | undefined
  readonly contents?: Length | undefined
  readonly caught?: boolean | readonly CaughtEdge[] | undefined
  readonly wrapped?: boolean | undefined
  readonly card?: boolean | undefined
}

/** Edges of a pocket that a seam of the cover may catch. */
const caughtEdges = ['left', 'right', 'foot'] as const
type CaughtEdge = (typeof caughtEdges)[number]

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
    caught: z
      .union([z.boolean(), z.array(z.enum(caughtEdges)).max(caughtEdges.length)])
      .optional()
      .meta({
        label: 'Caught in the seams',
        help: 'Its sides and foot lie in the seams of its panel: nothing is turned under there, and it is as wide as the panel.',
        field: 'yes-no',
      } satisfies OptionField),
    wrapped: yesNoOption({
      label: 'Wrapped round a card lining',
      help: 'As wide as the lining it lies on, {½ in} more glued behind it at the sides and the foot.',
    }),
    card: yesNoOption({ label: 'Of card', help: 'Nothing is hemmed or turned under.' }),
    ...placeOptions(unit),
  }
}

/** What goes into the edges of a pocket beside its finished size. */
export interface PocketEdges {
  readonly sides: readonly Reason[]
  /** Of both sides, what goes into the left one. */
  readonly left: Length
  readonly foot: readonly Reason[]
  readonly mouth: readonly Reason[]
  readonly role: 'outer' | 'card'
}

/**
 * The edges of a pocket: turned under ¼ in and hemmed twice at the mouth; a seam where one catches it; ½ in where it is
 * wrapped round a card lining; nothing where it is of card. `under` names what is turned under.
 */
export function pocketEdges(
  { options, unit, seam }: Pick<ExtraJob<PocketOptions>, 'options' | 'unit' | 'seam'>,
  under = 'turned under',
): PocketEdges {
  const edge = (side: CaughtEdge): readonly Reason[] => {
    if (isCaught(options, side)) return because('into the seam', seam)
    if (options.wrapped) return because('wrapped round the card', customary(1 / 2, unit))
    return options.card ? [] : because(under, turnedUnder(unit))
  }
  const [left, right] = [edge('left'), edge('right')]
  const [first] = left
  const alike = first !== undefined && first.label === right[0]?.label
  return {
    sides: alike ? twice(first.label, first.length) : [...left, ...right],
    left: first?.length ?? zero,
    foot: edge('foot').map(({ label, length }) => ({ label: `${label}, at the foot`, length })),
    mouth: options.card ? [] : twice('hem at the mouth', turnedUnder(unit)),
    role: options.card ? 'card' : 'outer',
  }
}

function isCaught({ caught }: PocketOptions, side: CaughtEdge): boolean {
  return typeof caught === 'object' ? caught.includes(side) : caught === true
}

/** Whether it is as wide as what it lies on. */
function fillsGround(options: PocketOptions): boolean {
  return options.wrapped === true || (isCaught(options, 'left') && isCaught(options, 'right'))
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
  const { on } = options
  const outside = traits.includes('device')
    ? on === undefined || outsideOfDevice.includes(on)
    : on === 'outer'
  return outside ? zero : add(plies(stack), options.contents ?? zero)
}

const outsideOfDevice: readonly string[] = ['outer', 'front', 'back', 'body']

export function onePly(stack: Stack): Length {
  return outerOf(stack).thickness
}

export function facedPly(stack: Stack): Length {
  return add(outerOf(stack).thickness, layerOf(stack, 'lining')?.thickness ?? outerOf(stack).thickness)
}

/** Where a pocket usually sits: outside on a device’s wall, else inside on the front board. */
function usualGround(traits: readonly Trait[]): readonly string[] {
  return traits.includes('device') ? ['outer'] : ['front', 'flap', 'flap-outer', 'lining', 'outer']
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
  const face = traits.includes('device') ? 'outside' : 'inside'
  const ground = findGround(cover, options.on, usualGround(traits), face)
  if (!ground)
    return extraPlan({
      findings: findingWhen(true, 'extra-not-carried', about, {
        extra: name,
        why: `there is no piece “${options.on ?? 'lining'}” to sew it on.`,
      }),
    })
  const size = sizeOn(ground, options, unit, fixedWidth)
  const at = placeOn(ground, atSeams(options), size)
  const made = make(size)
  const shape: StripShape = {
    ...size,
    at,
    piece: made.pieces[0]?.id ?? 'pocket',
    name,
    face: ground.face,
    under: underOf(job),
  }
  return extraPlan({
    pieces: made.pieces,
    notions: made.notions ?? [],
    findings: made.findings ?? [],
    shapes: [shape],
    lines: [mouthLine(size, unit), ...(made.lines ?? [])].map(line => moved(line, at, ground)),
    footprints: [{ ...footprintOn(ground, at, size), ...(isCaught(options, 'foot') && { atEdge: true }) }],
  })
}

function underOf(job: ExtraJob<PocketOptions>): NonNullable<StripShape['under']> {
  const { left, foot } = pocketEdges(job)
  return { left, foot: add(...foot.map(({ length }) => length)) }
}

/** What a seam catches lies at the edge, unless it was put elsewhere. */
function atSeams({ on, x, y, ...options }: PocketOptions): Place {
  return {
    on,
    x: x ?? (isCaught(options, 'left') ? zero : undefined),
    y: y ?? (isCaught(options, 'foot') ? zero : undefined),
  }
}

/** A line of stitches ¼ in below the mouth tells which side stays open. */
function mouthLine({ width }: Size, unit: Unit): StripLine {
  const y = customary(1 / 4, unit)
  return { kind: 'hem', from: [zero, y], to: [width, y] }
}

function sizeOn(ground: Ground, options: PocketOptions, unit: Unit, fixedWidth?: Length): Size {
  const { width, height } = options
  const inset = fillsGround(options) ? zero : customary(1 / 2, unit)
  const room = longest(mm(20), subtract(ground.width, scale(inset, 2)))
  return { width: width ?? fixedWidth ?? room, height: height ?? scale(ground.height, 1 / 2) }
}

function moved(line: StripLine, [x, y]: readonly [Length, Length], { face }: Ground): StripLine {
  const shift = (point: StripLine['from']) => [add(point[0], x), add(point[1], y)] as const
  return { ...line, face, from: shift(line.from), to: shift(line.to) }
}
