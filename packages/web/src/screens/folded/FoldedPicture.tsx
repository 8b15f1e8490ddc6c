import type { Folded } from '@snowdrift/core'
import { Pause, Play } from 'lucide-react'
import { lazy, Suspense, useState, type KeyboardEvent } from 'react'
import { Button } from '../../parts/Button'
import { Fractions } from '../../parts/Fractions'
import { Toggle } from '../../parts/Toggle'
import { useWantsStill } from '../../views/use-media'
import { findRoundDrawing, type RoundDrawing } from './can-draw'
import { FoldedStills } from './FoldedStills'
import { useFolding } from './use-folding'

const InTheRound = lazy(() => import('./InTheRound'))

interface FoldedPictureProps {
  readonly folded: Folded
  /** The stage that it begins with. */
  readonly start: number
  readonly mirrored: boolean
}

/** The cover in the round, scrubbed and played; or a row of still pictures, where nothing is to move or cannot be drawn. */
export function FoldedPicture({ folded, start, mirrored }: FoldedPictureProps) {
  const isStill = useWantsStill()
  const [drawing] = useState(findRoundDrawing)
  const canDraw = drawing !== 'none'
  const [shown, setShown] = useState<'round' | 'stills'>(isStill || !canDraw ? 'stills' : 'round')
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3">
      {canDraw ? (
        <div>
          <Toggle
            label="Shown"
            value={shown}
            choices={{ round: 'In the round', stills: 'Step by step' }}
            onChange={setShown}
          />
        </div>
      ) : (
        <p className="text-soft">This browser draws nothing in the round; here is each step as a picture.</p>
      )}
      {shown === 'stills' || !canDraw ? (
        <FoldedStills folded={folded} mirrored={mirrored} />
      ) : (
        <Scrubbed folded={folded} start={start} mirrored={mirrored} isStill={isStill} drawing={drawing} />
      )}
    </div>
  )
}

interface ScrubbedProps extends FoldedPictureProps {
  readonly isStill: boolean
  readonly drawing: RoundDrawing
}

function Scrubbed({ folded, start, mirrored, isStill, drawing }: ScrubbedProps) {
  const { stages } = folded
  const last = stages.length - 1
  const { time, isPlaying, scrub, goTo, step, play } = useFolding(last, start, isStill)
  const here = Math.round(time)
  const stage = stages[here]
  const press = (event: KeyboardEvent) => {
    const by = steps[event.key]
    if (by === undefined) return
    event.preventDefault()
    step(by)
  }
  return (
    <div className="grid min-h-0 flex-1 grid-rows-[minmax(20rem,1fr)_auto] gap-3 lg:grid-cols-[1fr_20rem] lg:grid-rows-1">
      <div className="flex min-h-0 flex-col gap-2">
        <figure
          className="relative min-h-0 flex-1 rounded-md border border-rule bg-surface"
          data-picture="folded"
          role="img"
          aria-label={`${stage?.name ?? ''}. ${stage?.isScheme ? 'Shown as a scheme. ' : ''}Dragged, it is seen from another side.`}
        >
          <Suspense fallback={<p className="p-4 text-soft">Laying out the pieces …</p>}>
            <InTheRound folded={folded} time={time} mirrored={mirrored} drawing={drawing} />
          </Suspense>
          {stage?.isScheme && (
            <figcaption className="absolute bottom-2 left-3 rounded-sm bg-ground px-2 py-0.5 text-sm text-soft">
              Shown as a scheme: nobody can draw it turning inside out.
            </figcaption>
          )}
        </figure>
        <div className="flex items-center gap-3">
          <Button onClick={play} aria-label={isPlaying ? 'Stop' : 'Play'}>
            {isPlaying ? <Pause className="size-4" aria-hidden /> : <Play className="size-4" aria-hidden />}
          </Button>
          <input
            type="range"
            className="min-h-11 flex-1 accent-(--thread)"
            aria-label="How far it has come together"
            min={0}
            max={last}
            step={0.01}
            value={time}
            aria-valuetext={`${here + 1} of ${stages.length}: ${stage?.name ?? ''}`}
            onChange={event => scrub(Number(event.target.value))}
            onKeyDown={press}
          />
        </div>
      </div>
      <Stages folded={folded} here={here} onGo={goTo} />
    </div>
  )
}

const steps: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }

interface StagesProps {
  readonly folded: Folded
  readonly here: number
  readonly onGo: (stage: number) => void
}

function Stages({ folded, here, onGo }: StagesProps) {
  return (
    <ol className="grid content-start gap-1 overflow-y-auto" aria-label="Stages">
      {folded.stages.map(({ id, name, pile }, index) => (
        <li key={id}>
          <button
            type="button"
            className={`min-h-11 w-full rounded-md border-l-3 px-3 py-1.5 text-left ${index === here ? 'border-thread bg-thread-soft' : 'border-transparent text-soft hover:bg-sunken'}`}
            aria-current={index === here ? 'step' : undefined}
            onClick={() => onGo(index)}
          >
            <Fractions text={name} />
          </button>
          {index === here && pile.length > 0 && (
            <ol className="grid gap-0.5 py-1 pl-4 text-sm text-soft" aria-label="From the table up">
              {pile.map((layer, level) => (
                <li key={`${level} ${layer}`}>
                  {level + 1}. {layer}
                </li>
              ))}
            </ol>
          )}
        </li>
      ))}
    </ol>
  )
}
