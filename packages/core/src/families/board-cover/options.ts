import { z } from 'zod'
import { mm, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import { layerOf } from '../../material/layer.js'
import type { Job } from '../contract.js'
import { choiceOption, countOption, lengthOption, namedLengthOption, yesNoOption } from '../option-fields.js'

/** Inserts under an elastic cord; signatures sewn through the cover, or to the spine lining before it is glued. */
export type Binding = 'elastic' | 'sewn' | 'sewn-hidden'

export type GapRule = 'computed' | 'board' | 'eighth'

export interface BoardCoverOptions {
  readonly foreEdgeOverhang?: Length | undefined
  readonly headTailOverhang?: Length | undefined
  readonly sheetThickness?: Length | undefined
  readonly sheets?: number | undefined
  readonly spineWidth?: Length | undefined
  readonly gap?: GapRule | Length | undefined
  readonly turnIn?: Length | undefined
  readonly turnInHeadTail?: Length | undefined
  readonly liningMargin?: Length | undefined
  readonly spineLiningOverlap?: Length | undefined
  readonly underlining?: boolean | undefined
  readonly inserts?: number | undefined
  readonly binding?: Binding | undefined
  readonly cord?: Length | undefined
}

/** Every default filled in, but the spine's width: without one it follows from the contents. */
export interface ResolvedOptions {
  readonly foreEdgeOverhang: Length
  readonly headTailOverhang: Length
  readonly sheetThickness: Length
  readonly sheets: number
  readonly gap: GapRule | Length
  readonly turnIn: Length
  readonly turnInHeadTail: Length
  readonly liningMargin: Length
  readonly spineLiningOverlap: Length
  readonly underlining: boolean
  readonly inserts: number
  readonly binding: Binding
  readonly cord: Length
}

const wide = { min: zero, max: mm(100) }

export const options = (unit: Unit) =>
  z.strictObject({
    foreEdgeOverhang: lengthOption(unit, wide, {
      label: 'Overhang at the fore-edge',
      help: 'How far a board stands over the pages. {½ in}; {⅛ in} for a trimmed block.',
    }),
    headTailOverhang: lengthOption(unit, wide, {
      label: 'Overhang at head and tail',
      help: 'At each end. {¼ in}; {⅛ in} for a trimmed block.',
    }),
    sheetThickness: lengthOption(
      unit,
      { min: mm(0.2), max: mm(6) },
      {
        label: 'Thickness of a sheet',
        help: 'One sheet of board, before it is laminated. Unless set, 1 mm thick.',
      },
    ),
    sheets: countOption(
      { min: 1, max: 6 },
      { label: 'Sheets to a board', help: 'Laminated with glue, grain head to tail. Two as a rule.' },
    ),
    spineWidth: lengthOption(
      unit,
      { min: mm(3), max: mm(200) },
      { label: 'Spine board', help: 'The contents and {¼ in}; {1 ½ in} where nobody measured them.' },
    ),
    gap: namedLengthOption(
      unit,
      { min: mm(0.5), max: mm(40) },
      { computed: 'computed', board: 'one board', eighth: 'an eighth' },
      {
        label: 'Gap beside the spine',
        help: 'Computed: the board goes round its own corner, cloth and all. Or one board’s thickness, or {⅛ in}, or as you say.',
      },
    ),
    turnIn: lengthOption(
      unit,
      { min: mm(2), max: mm(80) },
      {
        label: 'Turn-in',
        help: 'From the board’s outer edge, its thickness included. {1 in} unless set; {½ to 1 in}.',
      },
    ),
    turnInHeadTail: lengthOption(
      unit,
      { min: mm(2), max: mm(80) },
      { label: 'Turn-in at head and tail', help: 'Where it differs. As at the fore-edges unless set.' },
    ),
    liningMargin: lengthOption(unit, wide, {
      label: 'Lining short of the edge',
      help: 'All round. {⅛ in} unless set.',
    }),
    spineLiningOverlap: lengthOption(
      unit,
      { ...wide, usual: [customary(1 / 4, unit), customary(3 / 4, unit)] },
      { label: 'Spine lining over each board', help: '{½ in} unless set; {¼ to ¾ in}.' },
    ),
    underlining: yesNoOption({
      label: 'Underlining',
      help: 'A pale cloth under thin or see-through cloth, cut like it.',
    }),
    inserts: countOption(
      { min: 1, max: 24 },
      { label: 'Inserts', help: 'Booklets under the elastic, or signatures sewn in.' },
    ),
    binding: choiceOption(
      {
        elastic: 'elastic cord',
        sewn: 'sewn in, through the cover',
        'sewn-hidden': 'sewn to the spine lining, hidden',
      },
      {
        label: 'Inserts are held by',
        help: 'Elastic: booklets slip in and out. Sewn: signatures stay. Hidden: only until the spine lining is glued.',
      },
    ),
    cord: lengthOption(
      unit,
      { min: mm(1), max: mm(2) },
      { label: 'Cord, thick', help: 'Holes of {⅛ in} for {1 mm} of cord, {3/16 in} for {2 mm}.' },
    ),
  })

export function resolveOptions({ unit, stack, options: stated }: Job<BoardCoverOptions>): ResolvedOptions {
  return {
    foreEdgeOverhang: stated.foreEdgeOverhang ?? customary(1 / 2, unit),
    headTailOverhang: stated.headTailOverhang ?? customary(1 / 4, unit),
    sheetThickness: stated.sheetThickness ?? mm(1),
    sheets: stated.sheets ?? 2,
    gap: stated.gap ?? 'computed',
    turnIn: stated.turnIn ?? customary(1, unit),
    turnInHeadTail: stated.turnInHeadTail ?? stated.turnIn ?? customary(1, unit),
    liningMargin: stated.liningMargin ?? customary(1 / 8, unit),
    spineLiningOverlap: stated.spineLiningOverlap ?? customary(1 / 2, unit),
    underlining: stated.underlining ?? layerOf(stack, 'underlining') !== undefined,
    inserts: stated.inserts ?? 3,
    binding: stated.binding ?? 'elastic',
    cord: stated.cord ?? mm(1),
  }
}
