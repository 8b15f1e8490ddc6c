import { drawEndOn, drawStrip, sayProperly, type Face, type Plan, type Unit } from '@snowdrift/core'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { isTyping } from '../../app/shortcuts'
import { Toggle } from '../../parts/Toggle'
import { ClothToggle } from '../../views/cloth/ClothToggle'
import { DrawingView } from '../../views/DrawingView'
import { textScaleFor } from '../../views/text-scale'
import { useIsNarrow, useIsWide } from '../../views/use-media'
import { StillMissing } from '../../views/StillMissing'
import { useCover } from './cover-context'
import { FitLine } from './FitLine'
import { legendOf } from './legend'
import { notePictureHeight } from './note-picture-height'
import { StripPicture } from './picture/StripPicture'
import { ThingPicture } from './ThingPicture'

/** The cover laid flat and seen end-on, answering every change; stays in sight while the stations scroll. */
export function LivePicture() {
  return (
    <section
      ref={notePictureHeight}
      aria-label="Live picture"
      className="contain-content order-1 border-b border-rule bg-surface max-lg:top-12 max-lg:z-10 tall:max-lg:sticky lg:order-2 lg:h-full lg:min-h-0 lg:overflow-hidden lg:border-b-0 lg:border-l"
    >
      <WhatIsShown />
    </section>
  )
}

/** The cover; the thing while there is none, or where it is wanted; else what is missing for either. */
function WhatIsShown() {
  const { file, planned, shown, unit } = useCover()
  const { plan, isHeld } = shown
  const isThing = useThingShown()
  if (plan && !isThing) return <Pictures plan={plan} unit={unit} isHeld={isHeld} />
  if (planned.cover && (isThing || planned.issues.every(({ unread }) => unread))) return <ThingPicture />
  return (
    <div className="grid content-center gap-2 p-8 max-sm:p-4 lg:h-full">
      <p className="text-xl font-medium">
        {planned.issues.length > 0
          ? 'No picture while something here cannot be read.'
          : 'The picture appears with the last reading it needs.'}
      </p>
      <StillMissing file={file} planned={planned} />
    </div>
  )
}

/** Whether the thing is shown though there is a cover: one key changes it, and changes it back. */
function useThingShown(): boolean {
  const [isShown, setShown] = useState(false)
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key !== 'v' || event.ctrlKey || event.metaKey || event.altKey || isTyping(event)) return
      setShown(before => !before)
    }
    addEventListener('keydown', press)
    return () => removeEventListener('keydown', press)
  }, [])
  return isShown
}

const deskFrame = { width: 700, height: 350, letter: 15.5 }
const phoneFrame = { width: 350, height: 144, letter: 9.5 }

const faceWords: Readonly<Record<Face, string>> = { outside: 'Outside', inside: 'Inside' }
const stateWords = { closed: 'Closed', open: 'Open' } as const

interface PicturesProps {
  readonly plan: Plan
  readonly unit: Unit
  /** What is shown was planned a moment ago; what is being typed cannot be read yet. */
  readonly isHeld: boolean
}

function Pictures({ plan, unit, isHeld }: PicturesProps) {
  const narrow = useIsNarrow()
  const wide = useIsWide()
  const [face, setFace] = useState<Face>('outside')
  const { id } = useCover()
  const navigate = useNavigate()
  const showPiece = useCallback(
    (piece: string) => void navigate(`/covers/${id}/pieces?piece=${encodeURIComponent(piece)}`),
    [id, navigate],
  )
  const strip = useMemo(() => drawStrip(plan.strip, sayProperly(unit), { face }), [plan, unit, face])
  return (
    <div className="flex h-full flex-col gap-2 px-4 py-2 lg:py-4" aria-busy={isHeld}>
      <div className="flex flex-wrap items-start justify-between gap-x-4 gap-y-1">
        {isHeld ? (
          <p className="text-xl text-soft sm:text-2xl">Being typed …</p>
        ) : (
          <FitLine plan={plan} unit={unit} />
        )}
        <div className="flex flex-wrap gap-2">
          <ClothToggle />
          <Toggle label="Seen from" value={face} choices={faceWords} onChange={setFace} />
        </div>
      </div>
      <figure
        className={`min-h-0 contain-content lg:flex-[6] ${isHeld ? 'opacity-40' : ''}`}
        data-picture="strip"
      >
        <div className="h-36 sm:h-56 lg:h-full">
          <StripPicture
            drawing={strip}
            plan={plan}
            face={face}
            textScale={textScaleFor(strip, narrow ? phoneFrame : deskFrame)}
            onPick={showPiece}
          />
        </div>
      </figure>
      {wide && <EndOnPicture plan={plan} unit={unit} className="contain-content flex-[3]" />}
      <Legend plan={plan} />
    </div>
  )
}

interface EndOnPictureProps {
  readonly plan: Plan
  readonly unit: Unit
  readonly className: string
}

/** The thing with its layers round it, closed or open. Beside the strip where there is room, else below the station. */
export function EndOnPicture({ plan, unit, className }: EndOnPictureProps) {
  const narrow = useIsNarrow()
  const [state, setState] = useState<'closed' | 'open'>('closed')
  const drawing = useMemo(() => drawEndOn(plan.section, sayProperly(unit), { state }), [plan, unit, state])
  return (
    <figure className={`relative min-h-0 ${className}`} data-picture="end-on">
      <DrawingView drawing={drawing} textScale={narrow ? 0.027 : 0.024} />
      <div className="absolute right-0 bottom-0">
        <Toggle label="The thing is" value={state} choices={stateWords} onChange={setState} />
      </div>
    </figure>
  )
}

/** The lines that this picture has; cut edges and layers inside are in all of them. */
function Legend({ plan }: { readonly plan: Plan }) {
  return (
    <ul className="flex flex-wrap gap-x-4 text-sm text-soft max-sm:hidden" aria-label="Lines">
      {legendOf(plan).map(([style, words]) => (
        <li key={style} className="flex items-center gap-1.5">
          <svg width={26} height={8} className="drawing !h-2 !w-6.5" aria-hidden>
            <line className={`mark mark-${style}`} x1={0} x2={26} y1={4} y2={4} />
          </svg>
          {words}
        </li>
      ))}
    </ul>
  )
}
