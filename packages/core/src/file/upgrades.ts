import { coverFormat, coverVersion } from './cover-schema.js'
import type { Issue } from './issue.js'
import { show } from './schema-issues.js'

type Upgrade = (older: Record<string, unknown>) => Record<string, unknown>

/** From each version to the next, oldest first; append only. Version 1 is the first, so there is none yet. */
const upgrades: readonly Upgrade[] = []

/** Brings an older file up to the present version; refuses what is no cover file or comes from a newer Snowdrift. */
export function upgradeCoverFile(
  input: unknown,
):
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly issues: readonly Issue[] } {
  if (typeof input !== 'object' || input === null || Array.isArray(input))
    return refuse(
      '',
      `Expected a cover file: an object with format, version and the rest, found ${show(input)}.`,
    )
  const { format, version } = input as Record<string, unknown>
  if (format !== coverFormat) return refuse('format', `Expected ${coverFormat}, found ${show(format)}.`)
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refuse('version', `Expected ${coverVersion}, found ${show(version)}.`)
  if (version > coverVersion)
    return refuse(
      'version',
      `Expected ${coverVersion}, found ${version}: the file comes from a newer Snowdrift.`,
    )
  const steps = upgrades.slice(version - 1)
  return { ok: true, value: steps.reduce((file, upgrade) => upgrade(file), input as Record<string, unknown>) }
}

function refuse(path: string, message: string): { readonly ok: false; readonly issues: readonly Issue[] } {
  return { ok: false, issues: [{ path, message }] }
}
