import { z } from 'zod'
import { choiceOption, countOption, lengthOption } from '../../families/option-fields.js'
import type { StripLine } from '../../families/strip.js'
import { add, mm, scale, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { because, twice, type Reason } from '../../piece/reason.js'
import type { Piece } from '../../piece/piece.js'
import { sideRoundedUp } from '../../piece/side.js'
import { refusesGlued } from '../closure.js'
import { defineExtra, type ExtraBrief, type ExtraJob } from '../contract.js'
import type { Size } from '../place.js'
import { anyPlace } from '../place-keys.js'
import {
  onePly,
  pocketEdges,
  planPocket,
  pocketOptions,
  pocketThickness,
  turnedUnder,
  type PocketOptions,
} from '../pocket.js'

interface DividedOptions extends PocketOptions {
  readonly pens?: number | undefined
  readonly penDiameter?: Length | undefined
  readonly cards?: number | undefined
  readonly itemWidth?: Length | undefined
  readonly itemThickness?: Length | undefined
  readonly back?: 'gives' | 'stiff' | undefined
}

/** Divided by what goes in: pens, cards, one more thing. Source: docs/craft.md, Pockets. */
export const pocketDivided = defineExtra<DividedOptions>({
  type: 'pocket-divided',
  version: 1,
  words: {
    name: 'Divided pocket',
    summary: 'Slots for pens, cards and one thing of your own, each as wide as what goes in.',
  },
  group: 'pocket',
  refuses: refusesGlued,
  places: anyPlace,
  options: unit =>
    z.strictObject({
      pens: countOption({ min: 0, max: 12 }, { label: 'Pens', help: 'Two unless set.' }),
      penDiameter: lengthOption(
        unit,
        { min: mm(3), max: mm(40) },
        { label: 'A pen is thick', help: '{⅜ in} unless set.' },
      ),
      cards: countOption(
        { min: 0, max: 8 },
        { label: 'Card slots', help: '{92 mm} wide, each {15 mm} above the one in front.' },
      ),
      itemWidth: lengthOption(
        unit,
        { min: mm(5), max: mm(400) },
        { label: 'Another thing, width', help: 'A slot for one thing more.' },
      ),
      itemThickness: lengthOption(
        unit,
        { min: zero, max: mm(60) },
        { label: 'Its thickness', help: 'It goes round the thing.' },
      ),
      back: choiceOption(
        { gives: 'gives like the front', stiff: 'is stiff' },
        { label: 'The back', help: 'On a stiff back the front alone goes round the pen.' },
      ),
      ...pocketOptions(unit),
    }),
  thickness: brief => pocketThickness(brief, stack => add(onePly(stack), deepest(brief))),
  plan: job => {
    const slots = slotsOf(job)
    const across = add(...slots.map(({ spacing }) => spacing))
    return planPocket(job, 'Divided pocket', size => makeDivided(job, slots, size), across)
  },
})

interface Slot {
  readonly label: string
  /** From stitch to stitch on the back, and how much of the front lies over it. */
  readonly spacing: Length
  readonly front: Length
}

/** What sticks out furthest: a pen as thick as it is, a card as nothing to speak of. */
function deepest({ options, unit }: ExtraBrief<DividedOptions>): Length {
  return (options.pens ?? 2) > 0
    ? (options.penDiameter ?? customary(3 / 8, unit))
    : (options.itemThickness ?? zero)
}

/** Pen π·d/2 + ⅛ in where both walls give; 2.57·d + ⅛ in over d + ⅛ in on a stiff back. Card 92 mm. Else width + thickness + ¼ in. */
function slotsOf({ options, unit }: ExtraBrief<DividedOptions>): readonly Slot[] {
  const {
    pens = 2,
    penDiameter = customary(3 / 8, unit),
    cards = 0,
    itemWidth,
    itemThickness = zero,
    back,
  } = options
  const eighth = customary(1 / 8, unit)
  const giving = add(scale(penDiameter, Math.PI / 2), eighth)
  const pen: Slot =
    back === 'stiff'
      ? { label: 'pen', spacing: add(penDiameter, eighth), front: add(scale(penDiameter, 2.57), eighth) }
      : { label: 'pen', spacing: giving, front: giving }
  const same = (label: string, length: Length): Slot => ({ label, spacing: length, front: length })
  return [
    ...Array.from({ length: pens }, () => pen),
    ...(cards > 0 ? [same('card', mm(92))] : []),
    ...(itemWidth === undefined
      ? []
      : [same('thing', add(itemWidth, itemThickness, customary(1 / 4, unit)))]),
  ]
}

function makeDivided(job: ExtraJob<DividedOptions>, slots: readonly Slot[], { height }: Size) {
  const { grid } = job
  const { sides, foot, mouth, role } = pocketEdges(job)
  const fronts: readonly Reason[] = slots.flatMap(({ label, front }, index) =>
    because(`slot ${index + 1}, ${label}`, front),
  )
  let x = zero
  const lines = slots.slice(0, -1).map(({ spacing }): StripLine => {
    x = add(x, spacing)
    return { kind: 'stitch', from: [x, zero], to: [x, height] }
  })
  return {
    pieces: [
      {
        id: 'pocket-divided',
        role,
        count: 1,
        width: sideRoundedUp([...fronts, ...sides], grid),
        height: sideRoundedUp([...because('finished height', height), ...foot, ...mouth], grid),
      },
      ...cardPieces(job),
    ],
    lines,
  }
}

/** A card slot is folded double and stands 15 mm above the one in front. */
function cardPieces({ options, unit, grid }: ExtraJob<DividedOptions>): readonly Piece[] {
  const { cards = 0 } = options
  if (cards === 0) return []
  const under = turnedUnder(unit)
  return [
    {
      id: 'pocket-divided-card',
      role: 'outer',
      count: cards,
      width: sideRoundedUp([...because('card slot', mm(92)), ...twice('turned under', under)], grid),
      height: sideRoundedUp(
        [...twice('height, folded double', mm(50)), ...twice('seam at the foot', under)],
        grid,
      ),
    },
  ]
}
