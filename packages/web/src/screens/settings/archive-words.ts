import { archiveKinds, type ArchiveCounted, type ArchiveReport } from '@snowdrift/core'

const kindWords: Readonly<Record<ArchiveCounted, string>> = {
  things: 'Measured things',
  covers: 'Covers',
  materials: 'Materials',
  pieces: 'Pieces in the stash',
  pictures: 'Pictures',
  photos: 'Photos of makes',
  cuttings: 'Cutting plans',
  rules: 'Rules of your own',
  makings: 'Makings',
  marks: 'Dates and shelf marks',
  makes: 'Makes in the log',
  settings: 'Settings',
}

export interface ArchiveLine {
  readonly name: string
  readonly added: number
  /** Rows that stand here and say something else. */
  readonly otherwise: number
  readonly same: number
}

/** What of each kind an archive holds; kinds of which it holds none are left out. */
export function linesOf({ counts }: ArchiveReport): readonly ArchiveLine[] {
  return ([...archiveKinds, 'pictures', 'photos', 'settings'] as const)
    .map(kind => {
      const { added, changed, kept, same } = counts[kind]
      return { name: kindWords[kind], added, otherwise: changed + kept, same }
    })
    .filter(({ added, otherwise, same }) => added + otherwise + same > 0)
}

/** What became of an archive that was taken in, in a sentence or two. */
export function sayTaken(report: ArchiveReport): string {
  const sum = (outcome: 'added' | 'changed' | 'kept' | 'same') =>
    Object.values(report.counts).reduce((total, count) => total + count[outcome], 0)
  const [added, changed, kept] = [sum('added'), sum('changed'), sum('kept')]
  if (added + changed + kept === 0) return 'Everything in it was here already.'
  return [
    added > 0 ? `${added} added.` : 'Nothing was added.',
    changed > 0 ? `${changed} now as in the archive.` : '',
    kept > 0 ? `${kept} left as they are here.` : '',
  ]
    .filter(Boolean)
    .join(' ')
}
