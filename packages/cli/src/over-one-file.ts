import { formatIssue, type ReadResult } from '@snowdrift/core'
import { readJson } from './read-json.js'
import { exitCodes, type Terminal } from './terminal.js'

/** A command that reads one file and prints what comes of it as JSON. */
interface OverOneFile<Value> {
  readonly command: string
  readonly read: (json: unknown) => ReadResult<Value>
  /** What is printed, and whether it can be made as it was asked. */
  readonly work: (value: Value) => { readonly json: unknown; readonly isGood: boolean }
  /** More than a cover file may have. */
  readonly mostBytes?: number
}

/** Runs it: 0 done, 1 understood but cannot be made, 2 unusable: one line a problem on standard error, and nothing printed. */
export async function overOneFile<Value>(
  args: readonly string[],
  terminal: Terminal,
  { command, read, work, mostBytes }: OverOneFile<Value>,
): Promise<number> {
  const refuse = (lines: readonly string[]) => {
    terminal.complain(lines.map(line => `${line}\n`).join(''))
    return exitCodes.unusable
  }
  const [file, ...rest] = args
  if (file === undefined || rest.length > 0)
    return refuse([`Expected one file: snowdrift ${command} FILE (- is standard input).`])
  const json = await readJson(file, terminal, mostBytes)
  if (!json.ok) return refuse([json.message])
  const understood = read(json.value)
  if (!understood.ok) return refuse(understood.issues.map(formatIssue))
  const { json: printed, isGood } = work(understood.value)
  terminal.print(JSON.stringify(printed, null, 2) + '\n')
  return isGood ? exitCodes.done : exitCodes.cannotBeMade
}
