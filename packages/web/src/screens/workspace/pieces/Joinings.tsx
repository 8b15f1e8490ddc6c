import { drawJoining, hasSides, roleOfLayer, type Joining, type Plan, type Unit } from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { Amounts } from '../../../parts/Amounts'
import { Toggle } from '../../../parts/Toggle'
import { DrawingView } from '../../../views/DrawingView'

/** What lies on what when it is joined: a picture and the same in words, for the right- or the left-handed. */
export function Joinings({ plan, unit }: { readonly plan: Plan; readonly unit: Unit }) {
  const [hand, setHand] = useState<'right' | 'left'>('right')
  return (
    <section className="grid gap-4" aria-label="How the layers are joined">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h3 className="text-lg font-semibold">How the layers are joined</h3>
        <div className="no-print">
          <Toggle
            label="For which hand"
            value={hand}
            choices={{ right: 'Right-handed', left: 'Left-handed' }}
            onChange={setHand}
          />
        </div>
      </div>
      <ol className="grid gap-5">
        {plan.joinings.map((joining, index) => (
          <li key={joining.id} className="keep-together grid gap-1" data-joining={joining.id}>
            <p className="font-medium">
              {index + 1}. <Amounts words={joining.name} unit={unit} />
            </p>
            <JoiningPicture joining={joining} plan={plan} mirrored={hand === 'left'} />
            <p className="text-sm text-soft">
              {sentenceOf(joining, plan)} Seen from {joining.seenFrom}. Not to scale.
            </p>
          </li>
        ))}
      </ol>
    </section>
  )
}

interface JoiningPictureProps {
  readonly joining: Joining
  readonly plan: Plan
  readonly mirrored: boolean
}

function JoiningPicture({ joining, plan, mirrored }: JoiningPictureProps) {
  const drawing = useMemo(() => drawJoining(joining, plan.pieces, { mirrored }), [joining, plan, mirrored])
  return (
    <div className="max-w-md" style={{ aspectRatio: `${drawing.width} / ${drawing.height}` }}>
      <DrawingView drawing={drawing} textScale={0.032} />
    </div>
  )
}

/** The pile in words, from the table upwards. */
function sentenceOf({ layers, opening }: Joining, { pieces }: Plan): string {
  const sideOf = (layer: Joining['layers'][number]) =>
    hasSides(roleOfLayer(layer, pieces)) ? ` ${layer.face}` : ''
  const pile = layers.map(layer => layer.name + sideOf(layer)).join(', then ')
  return `From the table up: ${pile}.${opening ? ' Leave the marked gap open to turn it.' : ''}`
}
