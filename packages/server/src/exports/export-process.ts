import type { ExportTask } from './export-writer.js'
import { joinSheets, writeFile } from './write-file.js'

/** A process of its own: it takes an `ExportTask` and answers with what was written. What it throws ends it. */
process.on('message', (task: ExportTask) => {
  const writing = 'sheets' in task ? joinSheets(task.sheets) : writeFile(task.request, task.settings)
  void writing.then(written => process.send?.(written))
})
process.on('disconnect', () => process.exit(0))
