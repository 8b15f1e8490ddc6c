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
import { exportCard, exportCover, joinPdfs, mediaTypes } from '@snowdrift/paper'
import type { Failure } from '../http/problems.js'

/** Enough to say the chance of a sheet to a hundredth or two, in a fraction of a second. */
const makes = 5000

export type Written =
  | {
      readonly bytes: Uint8Array<ArrayBuffer>
      readonly name: string
      readonly type: string
      readonly extension: string
    }
  | { readonly failure: Failure }

/** A cover as it is now, planned and written for paper or machines. */
export async function writeFile(request: ExportRequest, settings: SettingsBody): Promise<Written> {
  const { file, as, ...options } = request
  if (as === 'card') {
    const { cover, faults } = readUnfinished(file)
    if (!cover) return { failure: { kind: 'unreadable', issues: faults } }
    return written(await exportCard(cover, options.paper), cover, as)
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
  return written(bytes, cover, as)
}

/** Sheets that were written one by one, as one file. */
export async function joinSheets(sheets: readonly Uint8Array[]): Promise<Written> {
  return written(await joinPdfs(sheets), { name: 'Project sheets' }, 'sheet')
}

function written(bytes: Uint8Array, { name }: Pick<Cover, 'name'>, as: ExportRequest['as']): Written {
  return { bytes: Uint8Array.from(bytes), name, ...mediaTypes[as] }
}

function chanceOf(cover: Cover, planned: Plan): number | undefined {
  return checkSimulation(cover, planned).length > 0
    ? undefined
    : simulate(cover, { makes, seed: usualSeed })?.chance
}
