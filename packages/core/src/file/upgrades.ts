import { coverFormat, coverVersion } from './cover-schema.js'
import type { Issue } from './issue.js'
import { show } from './schema-issues.js'
import { sayInWordsOfTwo } from './upgrade-to-two.js'

type Upgrade = (older: Record<string, unknown>) => Record<string, unknown>

/** From each version to the next, oldest first; append only. */
const upgrades: readonly Upgrade[] = [sayInWordsOfTwo]

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
  const value = steps.reduce((file, upgrade) => upgrade(file), input as Record<string, unknown>)
  return { ok: true, value }
}

/** A file as it is kept, in the words of now; what is no cover file stays as it is. */
export function inPresentWords(file: unknown): unknown {
  const upgraded = upgradeCoverFile(file)
  return upgraded.ok ? upgraded.value : file
}

function refuse(path: string, message: string): { readonly ok: false; readonly issues: readonly Issue[] } {
  return { ok: false, issues: [{ path, message }] }
}
