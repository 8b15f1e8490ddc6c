export { exportCard, exportCover, mediaTypes, type ExportOptions, type ToExport } from './export-cover.js'
