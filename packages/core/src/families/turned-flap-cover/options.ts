import { z } from 'zod'
import { mm, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import type { Job } from '../contract.js'
import { choiceOption, lengthOption } from '../option-fields.js'

export interface TurnedFlapOptions {
  readonly construction?: 'lined' | 'single' | undefined
  readonly flapDepth?: Length | undefined
  readonly endHem?: Length | undefined
  readonly headTailTurn?: Length | undefined
  readonly innerHalf?: 'sewn' | 'open' | undefined
  readonly fittedWidth?: Length | undefined
  readonly fittedHeight?: Length | undefined
}

export interface ResolvedOptions extends TurnedFlapOptions {
  readonly construction: 'lined' | 'single'
  readonly flapDepth: Length
  readonly endHem: Length
  readonly headTailTurn: Length
  readonly innerHalf: 'sewn' | 'open'
}

export const options = (unit: Unit) =>
  z.strictObject({
    construction: choiceOption(
      { lined: 'lined and turned', single: 'one layer, fitted on the book' },
      {
        label: 'Construction',
        help: 'Lined: two layers, turned through a side. One layer: hemmed, and its lines sewn as they are marked on the book.',
      },
    ),
    flapDepth: lengthOption(
      unit,
      { min: mm(10), max: mm(600) },
      {
        label: 'Flap depth',
        help: 'How far each end folds back. {2 in} unless set; a recipe’s amount decides it.',
      },
    ),
    endHem: lengthOption(
      unit,
      { min: mm(3), max: mm(100) },
      { label: 'End hem', help: 'One layer only: what each end loses to its hem.' },
    ),
    headTailTurn: lengthOption(
      unit,
      { min: mm(3), max: mm(200) },
      {
        label: 'Turn-in at head and tail',
        help: 'One layer only: what stands over the fitted lines, top and bottom.',
      },
    ),
    innerHalf: choiceOption(
      { sewn: 'sewn as far as the flap reaches', open: 'left open, for covers that do not fold back' },
      {
        label: 'Inner half of the flaps',
        help: 'Top and bottom of a deep flap sewn only half its depth: a stiff cover slides in under it.',
      },
    ),
    fittedWidth: lengthOption(
      unit,
      { min: mm(20), max: mm(2700) },
      {
        label: 'Fitted width',
        help: 'Fold to fold, as it came out on the book. Enter it afterwards, and a second copy follows it.',
      },
    ),
    fittedHeight: lengthOption(
      unit,
      { min: mm(10), max: mm(1250) },
      { label: 'Fitted height', help: 'Between the fitted lines at top and bottom, as sewn on the book.' },
    ),
  })

/** Flaps 2 in; of one layer, end hems ½ in and turn-ins 2 in. */
export function resolveOptions({
  unit,
  options: stated,
}: Pick<Job<TurnedFlapOptions>, 'unit' | 'options'>): ResolvedOptions {
  return {
    ...stated,
    construction: stated.construction ?? 'lined',
    flapDepth: stated.flapDepth ?? customary(2, unit),
    endHem: stated.endHem ?? customary(1 / 2, unit),
    headTailTurn: stated.headTailTurn ?? customary(2, unit),
    innerHalf: stated.innerHalf ?? 'sewn',
  }
}
