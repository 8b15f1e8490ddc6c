import { z } from 'zod'
import type { Issue } from '../file/issue.js'

/** A zip of JSON, one file a row, and pictures, that holds a workshop or a part of it. */
export const archiveFormat = 'snowdrift/workshop'
export const archiveVersion = 1

/** What an archive holds, in the order in which it comes in: what others name stands before them. */
export const archiveKinds = [
  'things',
  'materials',
  'covers',
  'pieces',
  'cuttings',
  'rules',
  'makings',
  'marks',
  'makes',
] as const
export type ArchiveKind = (typeof archiveKinds)[number]

/** What to do where a row stands here already and says something else. */
export const standingChoices = ['keep', 'take'] as const
export type StandingChoice = (typeof standingChoices)[number]

/** How many rows of a kind, or pictures, the archive would add, change, leave as they are otherwise, or has as they are here. */
export interface ArchiveCounts {
  readonly added: number
  readonly changed: number
  readonly kept: number
  readonly same: number
}

const counted = [...archiveKinds, 'pictures', 'photos', 'settings'] as const
export type ArchiveCounted = (typeof counted)[number]

/** What taking an archive in does, or would do. Nothing of it is taken where anything is refused. */
export interface ArchiveReport {
  readonly counts: Readonly<Record<ArchiveCounted, ArchiveCounts>>
  /** The names of what stands here otherwise, the first of them. */
  readonly otherwise: readonly string[]
  /** What cannot be read, by the file in the archive, the first fifty. */
  readonly refused: readonly Issue[]
}

/** What came of taking an archive in. */
export interface ArchiveTaken {
  readonly report: ArchiveReport
  /** Whether it was kept: not where anything was refused, or where only the report was asked for. */
  readonly taken: boolean
}

/** Lines of the answer while an archive is read: how far it has come, then what came of it. */
export type ArchiveNews = { readonly part: number } | ArchiveTaken | { readonly problem: string }

export function noCounts(): ArchiveReport['counts'] {
  const none = { added: 0, changed: 0, kept: 0, same: 0 }
  return Object.fromEntries(counted.map(kind => [kind, none])) as Record<ArchiveCounted, ArchiveCounts>
}

export const archiveManifest = z.strictObject({
  format: z.literal(archiveFormat),
  version: z.int().min(1),
  written: z.iso.datetime(),
})
export type ArchiveManifest = z.infer<typeof archiveManifest>
