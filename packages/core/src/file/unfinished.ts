import type { Cover } from './cover.js'
import type { Issue } from './issue.js'
import { partsOfPath } from './place.js'
import { readDraft } from './read-cover.js'

/** A file that a maker is still typing in: what can be read of it, and what cannot. */
export interface Unfinished {
  /** The cover without what is unread; nothing is planned from it while anything is. Absent where there are faults. */
  readonly cover?: Cover
  /** Lengths and numbers that stand where they belong and cannot be taken as they were typed. */
  readonly unread: readonly Issue[]
  /** What is wrong with the form of the file. */
  readonly faults: readonly Issue[]
}

const mostRounds = 5

/** Reads a file as far as it goes: what cannot be taken as typed is named and set aside. Never throws. */
export function readUnfinished(input: unknown): Unfinished {
  let [file, unread]: [unknown, readonly Issue[]] = [input, []]
  // Options and extras are looked at only once the rest could be read: setting aside comes in rounds.
  for (let round = 0; round < mostRounds; round++) {
    const draft = readDraft(file)
    if (draft.ok) return { cover: draft.value, unread, faults: [] }
    if (draft.issues.some(issue => !issue.unread)) return { unread, faults: draft.issues }
    unread = [...unread, ...draft.issues]
    file = draft.issues.toReversed().reduce((rest, { path }) => setAside(rest, partsOfPath(path)), file)
  }
  return { unread, faults: unread }
}

/** What must be there stands in for itself while it is unread, so that nothing else is found wanting. */
const standIns: Readonly<Record<string, string>> = {
  thickness: '1 mm',
  addWidth: '0 mm',
  addHeight: '0 mm',
  finished: '100 mm',
  spare: '0 mm',
  short: '0 mm',
}

/** A copy without what stands at the place; of a list, the later ones move up. */
function setAside(value: unknown, [first, ...rest]: readonly (string | number)[]): unknown {
  if (first === undefined || typeof value !== 'object' || value === null) return value
  if (Array.isArray(value))
    return rest.length === 0
      ? value.filter((_, index) => index !== first)
      : value.map((entry: unknown, index) => (index === first ? setAside(entry, rest) : entry))
  const { [first]: there, ...others } = value as Readonly<Record<string, unknown>>
  if (rest.length > 0) return { ...others, [first]: setAside(there, rest) }
  const standIn = standIns[first]
  return standIn === undefined ? others : { ...others, [first]: standIn }
}
