import { describeFinding, sayProperly, severityIn, type Finding, type Plan, type Unit } from '@snowdrift/core'
import { Fractions } from '../../../parts/Fractions'
import { Length } from '../../../parts/Length'
import { useCover } from '../cover-context'
import { ClothNeeded } from '../make-up/ClothNeeded'
import type { Told, ToldPlace } from './told'

interface PullBubbleProps {
  readonly told: Told
  readonly plan: Plan
  /** The plan before anything was changed here. */
  readonly before: Plan
}

/** What a change in the picture comes to: the setting, the cloth, what stops it or speaks against it. */
export function PullBubble({ told, plan, before }: PullBubbleProps) {
  const { planned, unit } = useCover()
  const stop = told.kind === 'length' ? told.stop : undefined
  const trouble = stop?.kind === 'finding' ? stop.finding : newTrouble(before.findings, plan.findings)
  return (
    <div
      role="status"
      aria-label="What was set"
      className="pointer-events-none absolute top-0 left-1/2 max-sm:top-auto max-sm:bottom-0 z-20 w-max max-w-full -translate-x-1/2 rounded-md border border-rule bg-surface px-3 py-1.5 text-sm shadow"
    >
      <p className="flex flex-wrap justify-center gap-x-3">
        <span className="font-semibold">
          {told.kind === 'length' ? (
            <>
              {told.held.label}: <Length value={told.length} unit={unit} />
            </>
          ) : (
            <>
              {told.carry.name}: <PlaceWords told={told} unit={unit} />
            </>
          )}
        </span>
        {planned.cover && planned.plan && (
          <span className="text-soft">
            cloth: <ClothNeeded plan={planned.plan} cover={planned.cover} unit={unit} />
          </span>
        )}
      </p>
      {stop?.kind === 'range' && (
        <p className="text-caution">No further: that is the end of what can be set.</p>
      )}
      {told.kind === 'place' && told.isStopped && (
        <p className="text-caution">No further: that is where the {told.carry.placed.ground.name} ends.</p>
      )}
      {trouble && (
        <p className={severityIn(trouble) === 'error' ? 'text-bad' : 'text-caution'}>
          {stop && 'No further: '}
          <Fractions text={describeFinding(trouble, sayProperly(unit)).message} />
        </p>
      )}
    </div>
  )
}

function PlaceWords({ told, unit }: { readonly told: ToldPlace; readonly unit: Unit }) {
  const { moves } = told.carry.placed
  return moves.map((key, index) => (
    <span key={key}>
      {index > 0 && ', '}
      <Length value={told[key]} unit={unit} /> {key === 'x' ? 'from the left' : 'from below'}
    </span>
  ))
}

/** The gravest that was not said before. */
function newTrouble(before: readonly Finding[], now: readonly Finding[]): Finding | undefined {
  const known = new Set(before.map(({ code, about }) => `${code} ${about}`))
  const fresh = now.filter(finding => !known.has(`${finding.code} ${finding.about}`))
  return (
    fresh.find(finding => severityIn(finding) === 'error') ??
    fresh.find(finding => severityIn(finding) === 'warning')
  )
}
