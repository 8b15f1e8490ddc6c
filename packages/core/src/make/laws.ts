import type { Piece } from '../piece/piece.js'
import type { Notion } from '../piece/notion.js'
import { cutId, type Assembled } from './assembled.js'
import { turnsAt, type Stage } from './draft.js'

/** What an order of steps must never do. Source: docs/craft.md, Making. */
export interface Law {
  readonly name: string
  /** The steps of an order that break it; none where it is kept. */
  readonly breaches: (order: readonly Assembled[], made: Made) => readonly string[]
}

export interface Made {
  readonly pieces: readonly Piece[]
  readonly notions: readonly Notion[]
}

const joiningKinds: ReadonlySet<Assembled['kind']> = new Set(['sew', 'topstitch', 'turn', 'glue', 'hand-sew'])

/** A step joins a piece where it is not done to it as a single layer. */
function joins({ kind, on, pieces }: Assembled, piece: string): boolean {
  return pieces.includes(piece) && on?.piece !== piece && joiningKinds.has(kind)
}

const idOf = ({ id }: Assembled) => id

/** Those of `first` that come after any of `then`. */
function late(
  order: readonly Assembled[],
  first: (step: Assembled) => boolean,
  then: (step: Assembled) => boolean,
): readonly string[] {
  const at = order.findIndex(then)
  return at < 0
    ? []
    : order
        .slice(at + 1)
        .filter(step => first(step) && !then(step))
        .map(idOf)
}

export const laws: readonly Law[] = [
  {
    name: 'every piece is cut once, and used later',
    breaches: (order, { pieces }) =>
      pieces.flatMap(({ id }) => {
        const cuts = order.flatMap((step, at) =>
          step.kind === 'cut' && step.pieces.includes(id) ? [at] : [],
        )
        const uses = order.flatMap((step, at) =>
          step.kind !== 'cut' && step.pieces.includes(id) ? [at] : [],
        )
        const [cut] = cuts
        const isRight =
          cuts.length === 1 && uses.length > 0 && uses.every(at => cut !== undefined && at > cut)
        return isRight ? [] : [cutId(id)]
      }),
  },
  {
    name: 'every notion is attached once',
    breaches: (order, { notions }) =>
      notions.flatMap(({ id }) => (order.filter(step => step.notions.includes(id)).length === 1 ? [] : [id])),
  },
  {
    name: 'a label goes on with every cut',
    breaches: order =>
      order.filter(({ kind, does }) => kind === 'cut' && !/Label .*arrow to the top/.test(does)).map(idOf),
  },
  {
    name: 'cloth is washed and pressed before it is cut',
    breaches: order =>
      late(
        order,
        ({ id, kind }) => kind === 'wash' || id === 'press-cloth',
        ({ id, kind }) =>
          kind === 'cut' && order.find(step => step.id === id)?.needs.includes('straighten-cloth') === true,
      ),
  },
  {
    name: 'what is done to a single layer is done before it is joined',
    breaches: (order, { pieces }) =>
      pieces.flatMap(({ id }) =>
        late(
          order,
          ({ on }) => on?.piece === id,
          step => joins(step, id),
        ),
      ),
  },
  {
    name: 'a piece is trimmed after it is quilted, before it is shaped and dressed',
    breaches: (order, { pieces }) =>
      pieces.flatMap(({ id }) => {
        const at = (stage: Stage) => (step: Assembled) => step.on?.piece === id && step.on.stage === stage
        return [
          ...late(order, at('quilt'), at('trim')),
          ...late(order, at('trim'), step => at('shape')(step) || at('dress')(step)),
        ]
      }),
  },
  {
    name: 'no iron between marking and the end of the quilting',
    breaches: (order, { pieces }) =>
      pieces.flatMap(({ id }) => {
        const from = order.findIndex(step => step.kind === 'mark' && step.on?.piece === id)
        const to = order.findIndex(step => step.kind === 'quilt' && step.on?.piece === id)
        if (from < 0 || to < 0) return []
        return order
          .slice(from, to)
          .filter(step => step.place === 'iron' && step.pieces.includes(id))
          .map(idOf)
      }),
  },
  {
    name: 'what is held is held before what catches it, and looked at',
    breaches: order =>
      order.flatMap((step, at) => {
        if (step.goes !== 'into-the-seam' && step.goes !== 'to-the-edge') return []
        const caught = order.findIndex(other => turnsAt(other, 'catches'))
        return caught > at && step.check ? [] : [step.id]
      }),
  },
  {
    name: 'sides are looked at and the thing is tried before the last seam',
    breaches: order => {
      const last = order.findIndex(step => turnsAt(step, 'last'))
      const gates = order.slice(0, last).filter(({ gate, check }) => gate && check)
      return last < 0 || gates.length > 0 ? [] : order.slice(last, last + 1).map(idOf)
    },
  },
  {
    name: 'pins out and corners clipped before turning',
    breaches: order =>
      late(
        order,
        ({ kind, id }) => kind === 'clip' && id === 'clip-corners',
        ({ id }) => id === 'turn-out',
      ),
  },
  {
    name: 'hardware after the last seam',
    breaches: order => {
      const last = order.findIndex(step => turnsAt(step, 'last'))
      return order
        .slice(0, Math.max(0, last))
        .filter(({ goes }) => goes === 'after-the-last')
        .map(idOf)
    },
  },
  {
    name: 'nothing is stitched where glue is wet',
    breaches: order =>
      order.flatMap((step, at) => {
        if (step.place !== 'machine') return []
        const glued = order
          .slice(0, at)
          .findLast(({ place, pieces }) => place === 'glue' && pieces.some(id => step.pieces.includes(id)))
        const dries = order.slice(order.indexOf(glued ?? step), at).some(({ wait = 0 }) => wait >= 30)
        return glued && !dries ? [step.id] : []
      }),
  },
  {
    name: 'what cannot be taken back is asked about',
    breaches: order => order.filter(({ gate, check }) => gate === true && !check).map(idOf),
  },
  {
    name: 'what is measured first is cut after it',
    breaches: order =>
      order.flatMap((step, at) =>
        (step.measures ?? []).flatMap(measure => {
          if (!('piece' in measure) || measure.side === 'flap' || step.pieces.includes(measure.piece))
            return []
          const cut = order.findIndex(({ id }) => id === cutId(measure.piece))
          return cut >= 0 && cut < at ? [step.id] : []
        }),
      ),
  },
]

/** The laws that an order breaks, with the steps that do. */
export function brokenLaws(
  order: readonly Assembled[],
  made: Made,
): readonly { readonly law: string; readonly steps: readonly string[] }[] {
  return laws.flatMap(({ name, breaches }) => {
    const steps = breaches(order, made)
    return steps.length > 0 ? [{ law: name, steps }] : []
  })
}
