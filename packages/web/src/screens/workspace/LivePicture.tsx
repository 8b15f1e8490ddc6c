import { describeChoice, drawEndOn, drawStrip, sayProperly, type Plan, type Unit } from '@snowdrift/core'
import { useMemo } from 'react'
import { DrawingView } from '../../views/DrawingView'
import { useIsNarrow } from '../../views/use-is-narrow'
import { useCover } from './cover-context'
import { FitLine } from './FitLine'

/** The cover laid flat and seen end-on, answering every change; stays in sight while the stations scroll. */
export function LivePicture() {
  const { planned, unit } = useCover()
  const { plan, missing, issues } = planned
  return (
    <section
      aria-label="Live picture"
      className="contain-content order-1 border-b border-rule bg-surface max-lg:top-12 max-lg:z-10 tall:max-lg:sticky lg:order-2 lg:h-full lg:min-h-0 lg:overflow-hidden lg:border-b-0 lg:border-l"
    >
      {plan ? (
        <Pictures plan={plan} unit={unit} />
      ) : (
        <Waiting missing={missing} problems={issues.map(({ message }) => message)} />
      )}
    </section>
  )
}

function Pictures({ plan, unit }: { readonly plan: Plan; readonly unit: Unit }) {
  const narrow = useIsNarrow()
  const strip = useMemo(() => drawStrip(plan.strip, sayProperly(unit)), [plan, unit])
  return (
    <div className="flex h-full flex-col gap-2 px-4 py-2 lg:py-4">
      <FitLine fits={plan.fits} unit={unit} />
      <figure className="min-h-0 contain-content lg:flex-[6]" data-picture="strip">
        <div className="h-36 sm:h-56 lg:h-full">
          <DrawingView drawing={strip} textScale={narrow ? 0.036 : 0.024} />
        </div>
      </figure>
      <EndOnPicture plan={plan} unit={unit} className="contain-content max-lg:hidden lg:flex-[3]" />
      <Legend />
    </div>
  )
}

interface EndOnPictureProps {
  readonly plan: Plan
  readonly unit: Unit
  readonly className: string
}

/** The closed thing with its layers round it. Beside the strip where there is room, else below the station. */
export function EndOnPicture({ plan, unit, className }: EndOnPictureProps) {
  const narrow = useIsNarrow()
  const drawing = useMemo(() => drawEndOn(plan.section, sayProperly(unit)), [plan, unit])
  return (
    <figure className={`min-h-0 ${className}`} data-picture="end-on">
      <DrawingView drawing={drawing} textScale={narrow ? 0.027 : 0.024} />
    </figure>
  )
}

function Waiting({
  missing,
  problems,
}: {
  readonly missing: readonly Parameters<typeof describeChoice>[0][]
  readonly problems: readonly string[]
}) {
  return (
    <div className="grid content-center gap-2 p-8 lg:h-full">
      {problems.length > 0 ? (
        problems.map(problem => (
          <p key={problem} className="text-bad">
            {problem}
          </p>
        ))
      ) : (
        <>
          <p className="text-xl font-medium">The picture appears with the last reading it needs.</p>
          <p className="text-soft">Still to measure:</p>
          <ul className="list-disc pl-5 text-soft">
            {missing.map(choice => (
              <li key={describeChoice(choice)}>{describeChoice(choice)}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  )
}

const legend = [
  ['seam', 'seam'],
  ['fold', 'fold'],
  ['cut', 'cut edge'],
  ['hidden', 'layer inside'],
  ['opening', 'turning opening'],
  ['tie', 'tie'],
] as const

function Legend() {
  return (
    <ul className="flex flex-wrap gap-x-4 text-sm text-soft max-sm:hidden" aria-label="Lines">
      {legend.map(([style, words]) => (
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
