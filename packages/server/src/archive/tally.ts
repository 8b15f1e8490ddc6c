import {
  noCounts,
  type ArchiveCounted,
  type ArchiveCounts,
  type ArchiveReport,
  type Issue,
} from '@snowdrift/core'

const mostNames = 20
const mostIssues = 50

/** Gathers what an archive does, file by file. */
export interface Tally {
  readonly count: (kind: ArchiveCounted, outcome: keyof ArchiveCounts, times?: number) => void
  /** Something stands here otherwise; it is called so. */
  readonly differs: (name: string) => void
  readonly refuse: (file: string, issues: readonly Issue[]) => void
  readonly isClean: () => boolean
  readonly report: () => ArchiveReport
}

export function createTally(): Tally {
  let counts = noCounts()
  const otherwise: string[] = []
  const refused: Issue[] = []
  return {
    count: (kind, outcome, times = 1) => {
      counts = { ...counts, [kind]: { ...counts[kind], [outcome]: counts[kind][outcome] + times } }
    },
    differs: name => {
      if (otherwise.length < mostNames) otherwise.push(name)
    },
    refuse: (file, issues) => {
      for (const { path, message } of issues)
        if (refused.length < mostIssues) refused.push({ path: path ? `${file}: ${path}` : file, message })
    },
    isClean: () => refused.length === 0,
    report: () => ({ counts, otherwise, refused }),
  }
}
