import type { ExportTask } from './export-writer.js'
import { writeFile } from './write-file.js'

/** A process of its own: it takes an `ExportTask` and answers with what was written. What it throws ends it. */
process.on('message', ({ request, settings }: ExportTask) => {
  void writeFile(request, settings).then(written => process.send?.(written))
})
process.on('disconnect', () => process.exit(0))
