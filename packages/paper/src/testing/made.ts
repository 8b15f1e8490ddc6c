import { plan, planSteps, readCover, sayPlainly, usualHands, type CoverFile } from '@snowdrift/core'
import { readFileSync } from 'node:fs'
import type { ToExport } from '../export-cover.js'

/** A cover from the examples of the docs, planned; with changes to its file. */
export function madeFrom(example: string, changes: Partial<CoverFile> = {}): ToExport {
  const path = new URL(`../../../../docs/examples/${example}.json`, import.meta.url)
  const read = readCover({ ...(JSON.parse(readFileSync(path, 'utf8')) as CoverFile), ...changes })
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  const cover = read.value
  const planned = plan(cover)
  const making = planSteps(cover, planned, { say: sayPlainly(cover.unit), hands: usualHands })
  return { cover, plan: planned, making }
}
