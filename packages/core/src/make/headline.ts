import type { Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import type { Plan } from '../plan/plan.js'
import { plannedSize } from './made-sizes.js'
import type { Step } from './step.js'

/** The number that matters at a step, for an arm’s length away. */
export interface Headline {
  readonly label: string
  readonly lengths: readonly Length[]
}

/** What a piece is cut or trimmed to, the seam, the edge-stitch or the fold; undefined where no number matters. */
export function headlineAt(step: Step, plan: Plan, unit: Unit): Headline | undefined {
  const { kind, pieces, measures } = step
  const piece = plan.pieces.find(({ id }) => id === pieces[0])
  switch (kind) {
    case 'cut':
      return piece && { label: 'cut', lengths: [piece.width.cut, piece.height.cut] }
    case 'trim':
      return piece?.trimTo && { label: 'trim to', lengths: [piece.trimTo.width, piece.trimTo.height] }
    case 'sew':
      return { label: 'seam', lengths: [plan.settled.seam] }
    case 'topstitch':
      return { label: 'from the edge', lengths: [customary(1 / 8, unit)] }
    case 'hem':
      return { label: 'hem, twice', lengths: [customary(1 / 4, unit)] }
    case 'measure':
    case 'mark':
    case 'set':
    case 'thread': {
      const [first] = measures
      const planned = first && plannedSize(plan, first)
      return planned === undefined ? undefined : { label: 'about', lengths: [planned] }
    }
    default:
      return undefined
  }
}
