import {
  checkSimulation,
  handsOf,
  plan,
  planSteps,
  readCover,
  readUnfinished,
  sayProperly,
  simulate,
  usualSeed,
  type Cover,
  type ExportRequest,
  type Plan,
  type SettingsBody,
} from '@snowdrift/core'
import { exportCard, exportCover, mediaTypes } from '@snowdrift/paper'
import type { Context } from 'hono'
import pLimit from 'p-limit'
import { answerProblem, type Failure } from '../http/problems.js'

/** Enough to say the chance of a sheet to a hundredth or two, in a fraction of a second. */
const makes = 5000

/** Answers a request with a cover as it is now, planned and written for paper or machines; nothing is kept. */
export type ExportWriter = (
  context: Context,
  request: ExportRequest,
  settings: SettingsBody,
) => Promise<Response>

/** One after the other, so that writing paper never keeps more than one turn from those who save. */
export function createExportWriter(): ExportWriter {
  const inTurn = pLimit(1)
  return async (context, request, settings) => {
    const written = await inTurn(() => write(request, settings))
    if ('failure' in written) return answerProblem(context, written.failure)
    const { type, extension } = mediaTypes[request.as]
    return context.body(written.bytes, 200, {
      'Content-Type': type,
      'Content-Disposition': attachment(`${written.name}, ${request.as}.${extension}`),
    })
  }
}

type Written =
  { readonly bytes: Uint8Array<ArrayBuffer>; readonly name: string } | { readonly failure: Failure }

async function write(request: ExportRequest, settings: SettingsBody): Promise<Written> {
  const { file, as, ...options } = request
  if (as === 'card') {
    const { cover, faults } = readUnfinished(file)
    if (!cover) return { failure: { kind: 'unreadable', issues: faults } }
    return { bytes: Uint8Array.from(await exportCard(cover, options.paper)), name: cover.name }
  }
  const read = readCover(file)
  if (!read.ok) return { failure: { kind: 'unreadable', issues: read.issues } }
  const cover = read.value
  const planned = plan(cover)
  const making = planSteps(cover, planned, { say: sayProperly(cover.unit), hands: handsOf(settings) })
  const chance = as === 'sheet' ? chanceOf(cover, planned) : undefined
  const bytes = await exportCover(
    as,
    { cover, plan: planned, making, ...(chance !== undefined && { chance }) },
    options,
  )
  return { bytes: Uint8Array.from(bytes), name: cover.name }
}

function chanceOf(cover: Cover, planned: Plan): number | undefined {
  return checkSimulation(cover, planned).length > 0
    ? undefined
    : simulate(cover, { makes, seed: usualSeed })?.chance
}

/** A file’s name in plain letters, and as it is for browsers that take it. */
function attachment(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replaceAll(/[^A-Za-z0-9 ,.-]+/g, '')
    .trim()
  return `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(name).replaceAll(/['()*]/g, letter => `%${letter.charCodeAt(0).toString(16).toUpperCase()}`)}`
}
