import {
  drawSheet,
  findLeftOvers,
  orderCuts,
  smallestLeftOver,
  type CutStep,
  type Drawing,
  type Layout,
  type LayoutRequest,
  type LeftOver,
  type Unit,
  type UsedSheet,
} from '@snowdrift/core'
import type { GroupJob } from './group-job'
import { nameSheet } from './sheet-names'

/** A layout of an earlier request may name pieces and cloths that are no more. */
export function isLayoutOf({ placements }: Layout, { pieces, cloths }: LayoutRequest): boolean {
  return placements.every(
    placed => pieces.some(({ id }) => id === placed.piece) && cloths.some(({ id }) => id === placed.cloth),
  )
}

/** What a layout leads to: for the rotary cutter its cuts in order, and what is left to keep. */
export function followLayout(layout: Layout, { cloths, cuts }: LayoutRequest, unit: Unit) {
  const lengthOf = (id: string) => cloths.find(cloth => cloth.id === id)?.length
  const order: readonly CutStep[] = cuts === 'rotary' ? (orderCuts(layout, lengthOf) ?? []) : []
  return { order, leftOvers: findLeftOvers(layout, cloths, smallestLeftOver(unit)) }
}

interface SheetOf {
  readonly job: GroupJob
  readonly layout: Layout
  readonly leftOvers: readonly LeftOver[]
  readonly unit: Unit
  /** The cut that is made next, where it is on this sheet. */
  readonly cut?: CutStep | undefined
}

/** One sheet of a layout, to scale; an endless cloth as far as it is used. */
export function drawSheetOf(sheet: UsedSheet, { job, layout, leftOvers, unit, cut }: SheetOf): Drawing {
  const { group, request } = job
  const isHere = (on: Pick<UsedSheet, 'cloth' | 'sheet'>) =>
    on.cloth === sheet.cloth && on.sheet === sheet.sheet
  const cloth = request?.cloths.find(({ id }) => id === sheet.cloth)
  const labels = new Map(group.pieces.map(({ id, label }) => [id, label]))
  return drawSheet({
    name: nameSheet(job, sheet, unit),
    role: group.role,
    width: sheet.width,
    length: cloth?.length ?? sheet.length,
    avoid: cloth?.avoid ?? [],
    marks: job.marks.get(sheet.cloth) ?? [],
    placements: layout.placements.filter(isHere),
    labelOf: ({ piece }) => labels.get(piece) ?? piece,
    print: group.print,
    leftOvers: leftOvers.filter(isHere),
    ...(cut && isHere(cut) && { cut }),
  })
}
