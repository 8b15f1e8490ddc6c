export {
  exportCover,
  exportKinds,
  isExportKind,
  mediaTypes,
  type ExportKind,
  type ExportOptions,
  type ToExport,
} from './export-cover.js'
export { labelGrids, type LabelGridName } from './pdf/label-grid.js'
export { isPaper, papers, type PaperName } from './pdf/paper.js'
export type { Audience } from './pdf/project-sheet.js'
