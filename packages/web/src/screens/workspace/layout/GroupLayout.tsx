import {
  boughtCloth,
  checkTurnedCard,
  findToBuy,
  mm,
  clashingPins,
  describePinClash,
  describeUnplaced,
  formatLength,
  sayProperly,
  toMm,
  type Layout,
  type LayoutRequest,
  type Length as CoreLength,
  type Unit,
  type UsedSheet,
  roleWords,
} from '@snowdrift/core'
import { OctagonAlert } from 'lucide-react'
import { useMemo, useState } from 'react'
import { FindingNote } from '../../../parts/FindingNote'
import { Fractions } from '../../../parts/Fractions'
import { Length } from '../../../parts/Length'
import { useCover } from '../cover-context'
import { CutSteps } from './CutSteps'
import type { GroupJob } from './group-job'
import { nameJob, namesIn } from './sheet-names'
import { PrintMeetings } from './PrintMeetings'
import { ShowingChoice } from './ShowingChoice'
import { followLayout, isLayoutOf } from './sheet-of'
import { Sheets } from './Sheets'
import { SheetPicture, type Move } from './SheetPicture'
import { SourceChooser } from './SourceChooser'
import { StashActions } from './StashActions'
import { withoutPin, withPin } from './sources'
import type { Cutting } from './use-cutting'
import { WhichWillDo } from './WhichWillDo'
import { capital } from '../../../views/capital'

interface GroupLayoutProps {
  readonly job: GroupJob
  readonly layout: Layout | undefined
  readonly cutting: Cutting
}

/** One material: where it comes from, its pieces on the cloth, what is left. */
export function GroupLayout({ job, layout, cutting }: GroupLayoutProps) {
  const { group, request } = job
  const isDone = cutting.plan.done.includes(group.key)
  return (
    <section
      className="grid gap-3 border-t border-rule pt-5"
      data-group={group.key}
      aria-label={nameJob(job)}
    >
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h3 className="text-lg font-semibold">{nameJob(job)}</h3>
        <span className="text-sm text-soft">
          {roleWords[group.role].toLowerCase()}, {group.pieces.length}{' '}
          {group.pieces.length === 1 ? 'piece' : 'pieces'}
        </span>
      </div>
      {isDone ? (
        <Done job={job} cutting={cutting} />
      ) : (
        <>
          <SourceChooser job={job} cutting={cutting} />
          <WhichWillDo job={job} cutting={cutting} />
          {!request && <p className="text-soft">Choose cloth from the stash, or allow it to be bought.</p>}
          {request && !layout && <p className="text-soft">Laying out …</p>}
          {request && layout && isLayoutOf(layout, request) && (
            <OnTheCloth job={job} request={request} layout={layout} cutting={cutting} />
          )}
        </>
      )}
    </section>
  )
}

function Done({ job, cutting }: Pick<GroupLayoutProps, 'job' | 'cutting'>) {
  const again = () =>
    cutting.change(before => ({ ...before, done: before.done.filter(key => key !== job.group.key) }))
  return (
    <p>
      Cut. What was left is back in the stash.{' '}
      <button type="button" className="text-thread underline" onClick={again}>
        Lay it out again
      </button>
    </p>
  )
}

interface OnTheClothProps {
  readonly job: GroupJob
  readonly request: LayoutRequest
  readonly layout: Layout
  readonly cutting: Cutting
}

function OnTheCloth({ job, request, layout: latest, cutting }: OnTheClothProps) {
  const { unit } = useCover()
  const { group } = job
  // Nothing moves under a hand that holds a piece: a better layout found meanwhile comes when it is put down.
  const [held, setHeld] = useState<Layout>()
  const layout = held && isLayoutOf(held, request) ? held : latest
  const [step, setStep] = useState(0)
  const [refused, setRefused] = useState('')
  const { order, leftOvers } = useMemo(() => followLayout(layout, request, unit), [layout, request, unit])
  const cut = order[Math.min(step, order.length - 1)]
  const move = ({ piece, cloth, sheet, x, y, turned }: Move) => {
    const pin = { group: group.key, piece, cloth, sheet, xMm: toMm(x), yMm: toMm(y), turned }
    const pieces = request.pieces.map(entry =>
      entry.id === piece ? { ...entry, pin: { cloth, sheet, x, y, turned } } : entry,
    )
    const [clash] = clashingPins({ ...request, pieces })
    setRefused(clash ? capital(describePinClash(clash, namesIn(job, unit))) : '')
    if (!clash) cutting.change(before => ({ ...before, pins: [...withPin(before.pins, pin)] }))
  }
  const letGo = (piece: string) =>
    cutting.change(before => ({ ...before, pins: [...withoutPin(before.pins, group.key, piece)] }))
  return (
    <div className="grid gap-3">
      <Summary group={group} layout={layout} request={request} />
      <PrintMeetings job={job} request={request} layout={layout} cutting={cutting} />
      {checkTurnedCard(group, layout).map(finding => (
        <FindingNote key={finding.about} finding={finding} unit={unit} />
      ))}
      {describeUnplaced(layout.unplaced, {
        say: sayProperly(unit),
        avoids: request.cloths.some(({ avoid = [] }) => avoid.length > 0),
        names: namesIn(job, unit),
      }).map(({ code, message, hint }) => (
        <div key={message} className="flex gap-2 border-l-3 border-bad py-1 pl-3" data-finding={code}>
          <OctagonAlert className="mt-1 size-4 shrink-0 text-bad" aria-label="Cannot be made" />
          <div>
            <p className="font-medium">
              <Fractions text={capital(message)} />
            </p>
            <p className="text-sm text-soft">{hint}</p>
          </div>
        </div>
      ))}
      {refused && (
        <p role="alert" className="text-bad">
          {refused}
        </p>
      )}
      {layout.used.map(sheet => (
        <SheetPicture
          key={`${sheet.cloth} ${sheet.sheet}`}
          sheet={sheet}
          job={job}
          layout={layout}
          leftOvers={leftOvers}
          pins={request.pieces.flatMap(({ id, pin }) => (pin ? [id] : []))}
          cut={cut}
          onHold={isHeld => setHeld(isHeld ? layout : undefined)}
          onMove={move}
          onLetGo={letGo}
        />
      ))}
      <ShowingChoice job={job} request={request} layout={layout} onMove={move} onLetGo={letGo} />
      {order.length > 0 && <CutSteps order={order} step={step} onStep={setStep} job={job} />}
      <LeftOvers leftOvers={leftOvers} />
      <StashActions job={job} layout={layout} leftOvers={leftOvers} cutting={cutting} />
    </div>
  )
}

interface SummaryProps {
  readonly group: GroupJob['group']
  readonly layout: Layout
  readonly request: LayoutRequest
}

/** How much cloth it takes, and how good that is. */
function Summary({ group, layout, request }: SummaryProps) {
  const { unit } = useCover()
  const toBuy = findToBuy(group, request, layout, unit)
  const bought = layout.used.find(({ cloth }) => cloth === boughtCloth)
  const width = request.cloths.find(({ id }) => id === boughtCloth)?.width
  const stash = layout.used.filter(({ cloth }) => cloth !== boughtCloth).length
  return (
    <p data-used={bought ? formatLength(bought.length, unit) : ''}>
      {stash > 0 && `${stash} ${stash === 1 ? 'piece' : 'pieces'} of the stash. `}
      {toBuy?.kind === 'sheets' && (
        <>
          <Sheets toBuy={toBuy} unit={unit} /> to buy.
        </>
      )}
      {toBuy?.kind === 'length' && bought && width && (
        <>
          <Length value={bought.length} unit={unit} /> of <Length value={width} unit={unit} /> cloth to buy
          <Bound used={bought} unit={unit} />
        </>
      )}
      {!bought && stash > 0 && 'Nothing to buy.'}
    </p>
  )
}

/** How good the layout is, where something is known that no layout can do better than. */
function Bound({ used: { length, bound }, unit }: { readonly used: UsedSheet; readonly unit: Unit }) {
  if (length <= bound) return '; no layout takes less.'
  if (bound < mm(3)) return '.'
  return (
    <>
      ; no layout takes less than <Length value={bound} unit={unit} finest={8} />.
    </>
  )
}

function LeftOvers({
  leftOvers,
}: {
  readonly leftOvers: readonly { readonly width: CoreLength; readonly height: CoreLength }[]
}) {
  const { unit } = useCover()
  if (leftOvers.length === 0) return null
  return (
    <p className="text-sm text-soft">
      Left over:{' '}
      {leftOvers.map(({ width, height }, index) => (
        <span key={index}>
          {index > 0 && ', '}
          <Length value={width} unit={unit} finest={8} bare /> ×{' '}
          <Length value={height} unit={unit} finest={8} />
        </span>
      ))}
    </p>
  )
}
