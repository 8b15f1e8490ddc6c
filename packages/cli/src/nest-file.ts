import { layoutToJson, nest, readLayoutRequest } from '@snowdrift/core'
import { overOneFile } from './over-one-file.js'
import type { Terminal } from './terminal.js'

/** `nest FILE`: reads a layout request and prints the layout as JSON. A piece that finds no place exits 1 and is named. */
export function nestFile(
  args: readonly string[],
  terminal: Terminal,
  now: () => number = () => performance.now(),
): Promise<number> {
  return overOneFile(args, terminal, {
    command: 'nest',
    read: readLayoutRequest,
    work: ({ request, unit }) => {
      const layout = nest(request, now)
      return { json: layoutToJson(layout, request, unit), isGood: layout.unplaced.length === 0 }
    },
  })
}
