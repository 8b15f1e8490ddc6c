import { drawThing, oneOf, readingWords, sayProperly } from '@snowdrift/core'
import { useMemo } from 'react'
import { useAppSelector } from '../../app/store'
import { Fractions } from '../../parts/Fractions'
import { DrawingView } from '../../views/DrawingView'
import { textScaleFor } from '../../views/text-scale'
import { StillMissing } from '../../views/StillMissing'
import { useIsNarrow } from '../../views/use-media'
import { useCover } from './cover-context'

const deskFrame = { width: 700, height: 430, letter: 15.5 }
const phoneFrame = { width: 350, height: 150, letter: 10 }

/** The thing itself, large, with the tape where it goes for the reading in hand, and the slip that is made there. */
export function ThingPicture() {
  const { file, planned, unit } = useCover()
  const { thing, reading } = useAppSelector(state => state.measuring)
  const narrow = useIsNarrow()
  const object = planned.cover?.objects[thing] ?? planned.cover?.object
  const drawing = useMemo(
    () =>
      object &&
      drawThing(object, { reading, say: sayProperly(unit), tapeUnit: oneOf(unit === 'in' ? 'in' : 'cm') }),
    [object, reading, unit],
  )
  if (!object || !drawing) return <StillMissing file={file} planned={planned} className="p-8" />
  const { name, how, onDevice, slip } = readingWords[reading]
  return (
    <div className="flex h-full flex-col gap-2 px-4 py-2 lg:gap-4 lg:p-8" data-picture="thing">
      <div className="grid gap-1">
        <p className="text-xl font-semibold max-sm:text-base">{name}</p>
        <p className="max-w-prose max-sm:hidden">
          <Fractions text={(object.kind === 'tablet' && onDevice) || how} />
        </p>
        <p className="flex max-w-prose items-center gap-2 text-bad max-sm:text-sm">
          <svg width={26} height={8} className="drawing !h-2 !w-6.5 shrink-0" aria-hidden>
            <line className="mark mark-slit" x1={0} x2={26} y1={4} y2={4} />
          </svg>
          {slip}
        </p>
      </div>
      <figure className="h-36 min-h-0 sm:h-56 lg:h-auto lg:flex-1">
        <DrawingView drawing={drawing} textScale={textScaleFor(drawing, narrow ? phoneFrame : deskFrame)} />
      </figure>
      {!planned.plan && (
        <div className="grid gap-1 text-sm">
          <p>The picture appears with the last reading it needs.</p>
          <StillMissing file={file} planned={planned} className="max-lg:hidden" />
        </div>
      )}
    </div>
  )
}
