import type { ExportRequest, SettingsBody } from '@snowdrift/core'
import type { Context } from 'hono'
import type { ChildProcess } from 'node:child_process'
import pLimit from 'p-limit'
import { answerProblem } from '../http/problems.js'
import { startBeside } from '../start-beside.js'
import type { Written } from './write-file.js'

/** Writes a cover as it is now, planned, for paper or machines, or joins such sheets; nothing is kept. */
export type ExportWriter = (task: ExportTask) => Promise<Written>

/** What the process is asked; it answers with what was written. */
export type ExportTask =
  | { readonly request: ExportRequest; readonly settings: SettingsBody }
  | { readonly sheets: readonly Uint8Array[] }

const longestMs = 20_000
/** Started when it is wanted, ended when nothing more has come. */
const idleMs = 60_000

/** Writes one after the other in a process of its own, so that whoever saves meanwhile does not wait for paper. */
export function createExportWriter({ timeoutMs = longestMs } = {}): ExportWriter {
  const inTurn = pLimit(1)
  let child: ChildProcess | undefined
  let idle: NodeJS.Timeout | undefined
  const end = () => {
    clearTimeout(idle)
    child?.kill('SIGKILL')
    child = undefined
  }
  const write = async (task: ExportTask): Promise<Written> => {
    clearTimeout(idle)
    child ??= startBeside(import.meta, 'export-process')
    const written = await ask(child, task, timeoutMs)
    if (written) idle = setTimeout(end, idleMs).unref()
    else end()
    return written ?? tooLong
  }
  return task => inTurn(() => write(task))
}

/** Answers a request with what was written for it. */
export function answerWritten(context: Context, as: string, written: Written): Response {
  if ('failure' in written) return answerProblem(context, written.failure)
  const { bytes, name, type, extension } = written
  return context.body(Uint8Array.from(bytes), 200, {
    'Content-Type': type,
    'Content-Disposition': attachment(`${name}, ${as}.${extension}`),
  })
}

const tooLong: Written = {
  failure: { kind: 'busy', detail: 'Writing it took longer than it may. Try again in a moment.' },
}

/** What it wrote; undefined where it broke or did not come to an end. */
function ask(child: ChildProcess, task: ExportTask, timeoutMs: number): Promise<Written | undefined> {
  return new Promise(resolve => {
    const finish = (written?: Written) => {
      clearTimeout(timer)
      child.off('message', hear)
      child.off('error', gone)
      child.off('exit', gone)
      resolve(written)
    }
    const hear = (message: unknown) => finish(message as Written)
    const gone = () => finish()
    const timer = setTimeout(gone, timeoutMs)
    child.once('message', hear)
    child.once('error', gone)
    child.once('exit', gone)
    child.send(task, error => error && gone())
  })
}

/** A file’s name in plain letters, and as it is for browsers that take it. */
function attachment(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replaceAll(/[^A-Za-z0-9 ,.-]+/g, '')
    .trim()
  return `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(name).replaceAll(/['()*]/g, letter => `%${letter.charCodeAt(0).toString(16).toUpperCase()}`)}`
}
