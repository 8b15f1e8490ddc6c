export { exportCard, exportCover, mediaTypes, type ExportOptions, type ToExport } from './export-cover.js'
export { joinPdfs } from './pdf/join-pdfs.js'
