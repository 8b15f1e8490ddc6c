import {
  boughtCloth,
  comesInSheets,
  findToBuy,
  mm,
  type Unit,
  checkPinsTogether,
  describeUnplaced,
  findLeftOvers,
  formatLength,
  orderCuts,
  sayProperly,
  smallestLeftOver,
  toMm,
  type CutStep,
  type Layout,
  type LayoutNames,
  type LayoutRequest,
  type Length as CoreLength,
  type UsedSheet,
  roleWords,
} from '@snowdrift/core'
import { OctagonAlert } from 'lucide-react'
import { useMemo, useState } from 'react'
import { Fractions } from '../../../parts/Fractions'
import { Length } from '../../../parts/Length'
import { useCover } from '../cover-context'
import { CutSteps } from './CutSteps'
import type { GroupJob } from './group-job'
import { nameGroup } from './name-group'
import { Sheets } from './Sheets'
import { SheetPicture, type Move } from './SheetPicture'
import { SourceChooser } from './SourceChooser'
import { StashActions } from './StashActions'
import { sayStashPiece, withoutPin, withPin } from './sources'
import type { Cutting } from './use-cutting'
import { WhichWillDo } from './WhichWillDo'

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
    <section className="grid gap-3 border-t border-rule pt-5" data-group={group.key} aria-label={nameOf(job)}>
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h3 className="text-lg font-semibold">{nameOf(job)}</h3>
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
          {request && layout && isOf(layout, request) && (
            <OnTheCloth job={job} request={request} layout={layout} cutting={cutting} />
          )}
        </>
      )}
    </section>
  )
}

function nameOf({ group, source }: GroupJob): string {
  return source.material?.material.name ?? nameGroup(group)
}

/** A layout of an earlier request may name pieces and cloths that are no more. */
function isOf({ placements }: Layout, { pieces, cloths }: LayoutRequest): boolean {
  return placements.every(
    placed => pieces.some(({ id }) => id === placed.piece) && cloths.some(({ id }) => id === placed.cloth),
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

function OnTheCloth({ job, request, layout, cutting }: OnTheClothProps) {
  const { unit } = useCover()
  const { group } = job
  const [step, setStep] = useState(0)
  const [refused, setRefused] = useState('')
  const [order, leftOvers] = useMemo(() => {
    const lengthOf = (id: string) => request.cloths.find(cloth => cloth.id === id)?.length
    return [
      request.cuts === 'rotary' ? (orderCuts(layout, lengthOf) ?? []) : [],
      findLeftOvers(layout, lengthOf, smallestLeftOver(unit)),
    ]
  }, [layout, request, unit])
  const cut = order[Math.min(step, order.length - 1)]
  const move = ({ piece, cloth, sheet, x, y, turned }: Move) => {
    const pin = { group: group.key, piece, cloth, sheet, xMm: toMm(x), yMm: toMm(y), turned }
    const pieces = request.pieces.map(entry =>
      entry.id === piece ? { ...entry, pin: { cloth, sheet, x, y, turned } } : entry,
    )
    const [problem] = checkPinsTogether({ ...request, pieces })
    setRefused(problem ? sayPinProblem(problem.message, group.pieces) : '')
    if (!problem) cutting.change(before => ({ ...before, pins: [...withPin(before.pins, pin)] }))
  }
  const letGo = (piece: string) =>
    cutting.change(before => ({ ...before, pins: [...withoutPin(before.pins, group.key, piece)] }))
  return (
    <div className="grid gap-3">
      <Summary group={group} layout={layout} request={request} />
      {describeUnplaced(layout.unplaced, sayProperly(unit), namesIn(job, unit)).map(
        ({ code, message, hint }) => (
          <div key={message} className="flex gap-2 border-l-3 border-bad py-1 pl-3" data-finding={code}>
            <OctagonAlert className="mt-1 size-4 shrink-0 text-bad" aria-label="Cannot be made" />
            <div>
              <p className="font-medium">
                <Fractions text={capital(message)} />
              </p>
              <p className="text-sm text-soft">{hint}</p>
            </div>
          </div>
        ),
      )}
      {refused && (
        <p role="alert" className="text-bad">
          {refused}
        </p>
      )}
      {layout.used.map(sheet => (
        <SheetPicture
          key={`${sheet.cloth} ${sheet.sheet}`}
          name={nameOfSheet(job, sheet, unit)}
          sheet={sheet}
          length={request.cloths.find(({ id }) => id === sheet.cloth)?.length ?? sheet.length}
          job={job}
          layout={layout}
          leftOvers={leftOvers.filter(left => left.cloth === sheet.cloth && left.sheet === sheet.sheet)}
          pins={request.pieces.flatMap(({ id, pin }) => (pin ? [id] : []))}
          cut={isOnSheet(cut, sheet) ? cut : undefined}
          onMove={move}
          onLetGo={letGo}
        />
      ))}
      {order.length > 0 && <CutSteps order={order} step={step} onStep={setStep} job={job} />}
      <LeftOvers leftOvers={leftOvers} />
      <StashActions job={job} layout={layout} leftOvers={leftOvers} cutting={cutting} />
    </div>
  )
}

function isOnSheet(cut: CutStep | undefined, sheet: UsedSheet): cut is CutStep {
  return cut?.cloth === sheet.cloth && cut.sheet === sheet.sheet
}

type Labels = readonly { readonly id: string; readonly label: string }[]

function inLabels(words: string, pieces: Labels): string {
  return pieces.reduce((text, { id, label }) => text.replaceAll(id, label), words)
}

/** What pieces and cloths of a layout are called. */
function namesIn({ group, source }: GroupJob, unit: Unit): LayoutNames {
  return {
    piece: id => group.pieces.find(piece => piece.id === id)?.label ?? id,
    cloth: id => {
      if (id === boughtCloth) return comesInSheets(group.role) ? 'the sheet to buy' : 'the cloth to buy'
      const piece = source.offered.find(offered => offered.id === id)
      return piece ? `the ${sayStashPiece(piece, source.material?.unit ?? unit, unit)}` : id
    },
  }
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1)
}

function sayPinProblem(message: string, pieces: Labels): string {
  return inLabels(message.replaceAll(/“([^”]{1,59}…)”/g, 'it'), pieces)
}

function nameOfSheet({ group, source }: GroupJob, { cloth, sheet }: UsedSheet, unit: Unit): string {
  if (cloth === boughtCloth) return comesInSheets(group.role) ? `sheet ${sheet}, to buy` : 'to buy'
  const piece = source.offered.find(({ id }) => id === cloth)
  return piece ? sayStashPiece(piece, source.material?.unit ?? unit, unit) : cloth
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
