import { formatIssue, layoutToJson, nest, readLayoutRequest } from '@snowdrift/core'
import { readJson } from './read-json.js'
import { exitCodes, type Terminal } from './terminal.js'

/** `nest FILE`: reads a layout request and prints the layout as JSON. A piece that finds no place exits 1 and is named. */
export async function nestFile(
  args: readonly string[],
  terminal: Terminal,
  now: () => number = () => performance.now(),
): Promise<number> {
  const refuse = (lines: readonly string[]) => {
    terminal.complain(lines.map(line => `${line}\n`).join(''))
    return exitCodes.unusable
  }
  const [file, ...rest] = args
  if (file === undefined || rest.length > 0)
    return refuse(['Expected one file: snowdrift nest FILE (- is standard input).'])
  const json = await readJson(file, terminal)
  if (!json.ok) return refuse([json.message])
  const read = readLayoutRequest(json.value)
  if (!read.ok) return refuse(read.issues.map(formatIssue))
  const { request, unit } = read.value
  const layout = nest(request, now)
  terminal.print(JSON.stringify(layoutToJson(layout, request, unit), null, 2) + '\n')
  return layout.unplaced.length === 0 ? exitCodes.done : exitCodes.cannotBeMade
}
