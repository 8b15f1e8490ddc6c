import { drawFolded, type Folded } from '@snowdrift/core'
import { useMemo } from 'react'
import { Fractions } from '../../parts/Fractions'
import { DrawingView } from '../../views/DrawingView'

/** Each stage as a still picture, aslant, with what lies on what in words. */
export function FoldedStills({ folded, mirrored }: { readonly folded: Folded; readonly mirrored: boolean }) {
  const drawings = useMemo(
    () => folded.stages.map((_, index) => drawFolded(folded, index, { mirrored })),
    [folded, mirrored],
  )
  return (
    <ol
      className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-4 overflow-y-auto"
      aria-label="Stages"
      data-picture="stills"
    >
      {folded.stages.map(({ id, name, pile, isScheme }, index) => {
        const drawing = drawings[index]
        return (
          <li key={id} className="grid content-start gap-2">
            <div className="h-44 rounded-md border border-rule bg-surface p-2">
              {drawing && <DrawingView drawing={drawing} />}
            </div>
            <p>
              <span className="font-medium">{index + 1}. </span>
              <Fractions text={name} />
              {isScheme && <span className="text-soft"> Shown as a scheme.</span>}
            </p>
            {pile.length > 0 && <p className="text-sm text-soft">From the table up: {pile.join('; ')}.</p>}
          </li>
        )
      })}
    </ol>
  )
}
