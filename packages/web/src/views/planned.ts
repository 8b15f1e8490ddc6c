import {
  askedReadings,
  checkReadings,
  plan,
  readUnfinished,
  readingsNeeded,
  readingAt,
  type Cover,
  type CoverFile,
  type Finding,
  type Issue,
  type Plan,
  type ReadingChoice,
} from '@snowdrift/core'

/**
 * What a cover file comes to: the cover, its plan once every needed reading is there, and what is in the way: readings
 * that nobody took, and what cannot be read as it was typed. While anything is in the way, nothing is planned.
 */
export interface Planned {
  readonly cover?: Cover
  readonly plan?: Plan
  readonly missing: readonly ReadingChoice[]
  readonly issues: readonly Issue[]
  /** What there is to say; before there is a plan, of the readings only. */
  readonly findings: readonly Finding[]
}

const known = new WeakMap<CoverFile, Planned>()

/** Plans a cover file; the same file is planned once. */
export function plannedOf(file: CoverFile): Planned {
  const before = known.get(file)
  if (before) return before
  const planned = work(file)
  known.set(file, planned)
  return planned
}

function work(file: CoverFile): Planned {
  const { cover, unread, faults } = readUnfinished(file)
  if (!cover) return { missing: [], issues: faults, findings: [] }
  const needed = readingsNeeded(cover)
  const missing = cover.objects.flatMap(object => askedReadings(object, needed))
  if (missing.length > 0 || unread.length > 0)
    return { cover, missing: besides(missing, unread), issues: unread, findings: checksOf(cover) }
  const planned = plan(cover)
  return { cover, plan: planned, missing, issues: [], findings: planned.findings }
}

/** Readings disagree before they are enough for a plan, too. */
function checksOf({ object }: Cover): readonly Finding[] {
  return checkReadings(object, { boardCounts: false })
}

/** What is still to be measured beside readings that were taken and cannot be read. */
function besides(missing: readonly ReadingChoice[], unread: readonly Issue[]): readonly ReadingChoice[] {
  const tried = new Set(unread.map(({ path }) => readingAt(path)))
  return missing.filter(choice => !choice.some(way => way.some(key => tried.has(key))))
}
