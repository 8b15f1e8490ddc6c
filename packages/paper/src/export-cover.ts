import {
  clothOf,
  namePiece,
  roleWords,
  sayProperly,
  usualLabels,
  drawAids,
  drawTemplates,
  layOutBought,
  type Audience,
  type Cover,
  type ExportKind,
  type LabelSheet,
  type Making,
  type PaperName,
  type Plan,
} from '@snowdrift/core'
import { writeCsv } from './lists/csv.js'
import { labelsOf } from './lists/label.js'
import { arrange } from './outlines/arrange.js'
import { writeDxf } from './outlines/dxf.js'
import { writeHpgl } from './outlines/hpgl.js'
import { writeSvg } from './outlines/svg.js'
import { labelGrids } from './pdf/label-grid.js'
import { writeLabels } from './pdf/labels.js'
import { writeMeasuringCard } from './pdf/measuring-card.js'
import { papers } from './pdf/paper.js'
import { writeProjectSheet } from './pdf/project-sheet.js'
import { writeTemplates } from './pdf/templates.js'

export const mediaTypes: Readonly<Record<ExportKind, { readonly type: string; readonly extension: string }>> =
  {
    sheet: { type: 'application/pdf', extension: 'pdf' },
    templates: { type: 'application/pdf', extension: 'pdf' },
    labels: { type: 'application/pdf', extension: 'pdf' },
    card: { type: 'application/pdf', extension: 'pdf' },
    svg: { type: 'image/svg+xml', extension: 'svg' },
    dxf: { type: 'image/vnd.dxf', extension: 'dxf' },
    hpgl: { type: 'application/vnd.hp-hpgl', extension: 'plt' },
    csv: { type: 'text/csv; charset=utf-8', extension: 'csv' },
  }

export interface ToExport {
  readonly cover: Cover
  readonly plan: Plan
  readonly making: Making
  /** The share of makes that fit, for the sheet; left out where nobody reckoned it. */
  readonly chance?: number
}

export interface ExportOptions {
  readonly paper?: PaperName | undefined
  /** Templates of plain rectangles, too. */
  readonly withPlain?: boolean | undefined
  readonly audience?: Audience | undefined
  readonly labels?: LabelSheet | undefined
}

/** A planned cover as a file of that kind; its bytes. Text is UTF-8. */
export async function exportCover(
  kind: ExportKind,
  { cover, plan, making, chance }: ToExport,
  { paper = 'a4', withPlain = false, audience = 'maker', labels = usualLabels(paper) }: ExportOptions = {},
): Promise<Uint8Array> {
  const { unit } = cover
  const title = cover.name || 'A cover'
  const say = sayProperly(unit)
  const nameOf = namePiece
  const cloth = (id: string) => {
    const piece = plan.pieces.find(known => known.id === id)
    return piece ? clothOf(cover, id, piece.role)?.name || roleWords[piece.role] : ''
  }
  const templates = () => drawTemplates(plan, { nameOf, say, unit })
  const outlines = () =>
    arrange(title, [...templates().map(({ drawing }) => drawing), ...drawAids(plan, { say })])
  switch (kind) {
    case 'sheet':
      return writeProjectSheet({
        cover,
        plan,
        making,
        say,
        nameOf,
        audience,
        paper: papers[paper],
        ...(chance !== undefined && { chance }),
      })
    case 'templates':
      return writeTemplates(templates(), {
        title,
        aids: drawAids(plan, { say }),
        paper: papers[paper],
        say,
        withPlain,
      })
    case 'labels':
      return writeLabels(labelsOf(plan.pieces, { cover: title, nameOf, clothOf: cloth, unit }), {
        title: `Labels for ${title}`,
        grid: labelGrids[labels],
        say,
      })
    case 'card':
      return exportCard(cover, paper)
    case 'svg':
      return encode(writeSvg(outlines()))
    case 'dxf':
      return encode(writeDxf(outlines()))
    case 'hpgl':
      return encode(writeHpgl(outlines()))
    case 'csv':
      return encode(writeCsv(plan, { bought: layOutBought(cover, plan), nameOf, clothOf: cloth, unit }))
  }
}

/** What to measure; of a cover that nobody can plan yet, too. */
export function exportCard(cover: Cover, paper: PaperName = 'a4'): Promise<Uint8Array> {
  return writeMeasuringCard(cover, papers[paper])
}

function encode(text: string): Uint8Array {
  return new TextEncoder().encode(text)
}
