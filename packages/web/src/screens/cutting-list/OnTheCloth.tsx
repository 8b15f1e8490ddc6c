import type { Layout, LayoutRequest, MaterialRow, StashPieceRow, Unit } from '@snowdrift/core'
import { useMemo } from 'react'
import { useMaterialsQuery, useStashPiecesQuery } from '../../api/api'
import { DrawingView } from '../../views/DrawingView'
import { textScaleFor } from '../../views/text-scale'
import { Cut, firstCut } from '../workspace/layout/Cut'
import { groupJobs, jobsToLay, type GroupJob } from '../workspace/layout/group-job'
import { nameJob, nameSheet } from '../workspace/layout/sheet-names'
import { sheetLooks } from '../../views/cloth/sheet-looks'
import { drawSheetOf, followLayout, isLayoutOf } from '../workspace/layout/sheet-of'
import { useCoversToCut, type OwnCover } from '../workspace/layout/use-covers-to-cut'
import { useCutting, type Cutting } from '../workspace/layout/use-cutting'
import { useLayouts } from '../workspace/layout/use-layouts'

interface OnTheClothProps {
  readonly cover: OwnCover
  readonly unit: Unit
}

/** The layout as the layout station has it, for the table: every sheet to scale, and the order of rotary cuts. */
export function OnTheCloth({ cover, unit }: OnTheClothProps) {
  const cutting = useCutting(cover.id)
  const { data: materials } = useMaterialsQuery()
  const { data: pieces } = useStashPiecesQuery()
  return (
    <section className="mt-6" aria-label="On the cloth">
      <h2 className="text-lg font-semibold">On the cloth</h2>
      {cutting && materials && pieces ? (
        <LaidOut cover={cover} unit={unit} cutting={cutting} materials={materials} pieces={pieces} />
      ) : (
        <p className="text-soft">Fetching the stash …</p>
      )}
    </section>
  )
}

interface LaidOutProps extends OnTheClothProps {
  readonly cutting: Cutting
  readonly materials: readonly MaterialRow[]
  readonly pieces: readonly StashPieceRow[]
}

const budgetMs = 2000

function LaidOut({ cover, unit, cutting: { plan }, materials, pieces }: LaidOutProps) {
  const covers = useCoversToCut(plan.coverIds, cover)
  const written = cover.file.unit ?? 'in'
  const groups = useMemo(
    () => groupJobs(covers, plan, { materials, pieces }, { unit, written, budgetMs }),
    [covers, plan, materials, pieces, unit, written],
  )
  const jobs = useMemo(() => jobsToLay(groups, plan), [groups, plan])
  const { byKey, progress } = useLayouts(jobs)
  return (
    <div className="grid gap-4" data-layout={String(progress)}>
      {covers.length > 1 && <p>Cut together: {covers.map(({ name }) => name).join(', ')}.</p>}
      {groups.map(job => {
        const layout = byKey[job.group.key]
        const isLaid = job.request && layout && isLayoutOf(layout, job.request)
        return (
          <div key={job.group.key} data-group={job.group.key}>
            <h3 className="font-semibold">{nameJob(job)}</h3>
            {isLaid ? (
              <SheetsOf job={job} request={job.request} layout={layout} unit={unit} />
            ) : (
              <p className="text-sm text-soft">{unlaid(job, plan.done.includes(job.group.key))}</p>
            )}
          </div>
        )
      })}
    </div>
  )
}

function unlaid({ request }: GroupJob, isDone: boolean): string {
  if (isDone) return 'Cut already.'
  return request ? 'Laying out …' : 'No cloth is chosen for it.'
}

const frame = { width: 700, height: 300, letter: 11 }

interface SheetsOfProps {
  readonly job: GroupJob
  readonly request: LayoutRequest
  readonly layout: Layout
  readonly unit: Unit
}

function SheetsOf({ job, request, layout, unit }: SheetsOfProps) {
  const { order, leftOvers } = useMemo(() => followLayout(layout, request, unit), [layout, request, unit])
  return (
    <>
      {layout.used.map(sheet => {
        const drawing = drawSheetOf(sheet, { job, layout, leftOvers, unit })
        return (
          <figure key={`${sheet.cloth} ${sheet.sheet}`} className="keep-together" data-sheet={sheet.cloth}>
            <figcaption className="text-sm text-soft">{nameSheet(job, sheet, unit)}</figcaption>
            <div className="max-h-80" style={{ aspectRatio: `${drawing.width} / ${drawing.height}` }}>
              <DrawingView
                drawing={drawing}
                textScale={textScaleFor(drawing, frame)}
                cloths={sheetLooks(job.source.material)}
              />
            </div>
          </figure>
        )
      })}
      {order.length > 0 && (
        <>
          <p className="mt-1 text-sm">{firstCut(job)}</p>
          <ol className="list-decimal pl-6 text-sm" data-cuts={order.length}>
            {order.map((cut, index) => (
              <li key={index}>
                <Cut cut={cut} job={job} unit={unit} />
              </li>
            ))}
          </ol>
        </>
      )}
    </>
  )
}
