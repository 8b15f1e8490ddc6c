import {
  missingReadings,
  plan,
  readDraft,
  type Cover,
  type CoverFile,
  type Issue,
  type Plan,
  type ReadingChoice,
} from '@snowdrift/core'

/** What a cover file comes to: the cover, its plan once every needed reading is there, and what is in the way. */
export interface Planned {
  readonly cover?: Cover
  readonly plan?: Plan
  readonly missing: readonly ReadingChoice[]
  readonly issues: readonly Issue[]
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
  const draft = readDraft(file)
  if (!draft.ok) return { missing: [], issues: draft.issues }
  const cover = draft.value
  const missing = cover.objects.flatMap(object => missingReadings(object, cover.family.requiredReadings))
  if (missing.length > 0) return { cover, missing, issues: [] }
  return { cover, plan: plan(cover), missing, issues: [] }
}
