import {
  clothOf,
  drawJoining,
  drawPiece,
  drawStrip,
  namePiece,
  sayProperly,
  type Step,
} from '@snowdrift/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { DrawingView } from '../../views/DrawingView'
import { textScaleFor } from '../../views/text-scale'
import type { OnTheBench } from './use-making'

const pictureFrame = { width: 430, height: 300, letter: 15 }

/** The pile with the sides that look up, the piece, or the cover with what is worked on lit up. */
export function StepPicture({ bench, step }: { readonly bench: OnTheBench; readonly step: Step }) {
  const { plan, unit, hands } = bench
  const drawing = useMemo(() => {
    const joining = plan.joinings.find(({ id }) => id === step.joining)
    if (joining) return drawJoining(joining, plan.pieces, { mirrored: hands.leftHanded })
    const [only, ...others] = step.pieces
    const piece = plan.pieces.find(({ id }) => id === only)
    if (piece && others.length === 0 && single.has(step.kind)) return drawPiece(piece, sayProperly(unit))
    return drawStrip(plan.strip, sayProperly(unit), { face: step.face === 'inside' ? 'inside' : 'outside' })
  }, [plan, unit, hands.leftHanded, step])
  return (
    <figure className="grid gap-1" data-picture="step">
      <div className="h-56 sm:h-72">
        <DrawingView drawing={drawing} textScale={textScaleFor(drawing, pictureFrame)} />
      </div>
      <Cloths bench={bench} step={step} />
      {step.joining !== undefined && (
        <Link
          to={`/covers/${bench.id}/folded?at=${step.joining}-pile`}
          className="inline-flex min-h-11 items-center text-thread underline"
        >
          See it come together
        </Link>
      )}
    </figure>
  )
}

const single: ReadonlySet<Step['kind']> = new Set(['cut', 'trim', 'hem', 'fold', 'mark', 'press', 'sew'])

/** Which cloth lies where, in this cover. */
function Cloths({ bench, step }: { readonly bench: OnTheBench; readonly step: Step }) {
  const { cloths } = bench
  const named = step.pieces.flatMap(id => {
    const piece = bench.plan.pieces.find(known => known.id === id)
    const cloth = piece && clothOf(cloths, id, piece.role)
    return cloth?.name ? [`${namePiece(id)}: ${cloth.name}`] : []
  })
  return named.length > 0 ? <figcaption className="text-soft">{named.join(' · ')}</figcaption> : null
}
