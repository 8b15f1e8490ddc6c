import type { ReadingKey } from '../object/reading.js'
import type { Role } from '../material/role.js'
import type { ChanceFindings } from './data/chance-findings.js'
import type { ExtraFindings } from './data/extra-findings.js'
import type { Direction, FitFindings } from './data/fit-findings.js'
import type { MakeFindings } from './data/make-findings.js'
import type { MaterialFindings } from './data/material-findings.js'
import type { ReadingFindings } from './data/reading-findings.js'
import type { Severity } from './severity.js'
import type { Repair } from './repair.js'

export type { Direction } from './data/fit-findings.js'
export type { RecipeChange } from './data/make-findings.js'

/** Every finding's numbers, by code. Words stand in `words/`, severities beside the data. */
export interface FindingData
  extends ReadingFindings, FitFindings, ChanceFindings, MakeFindings, ExtraFindings, MaterialFindings {}

export type FindingCode = keyof FindingData

/** What a finding is about, so that it can stand beside it. */
export type Subject =
  | `reading:${ReadingKey}`
  | `option:${string}`
  | `layer:${Role}`
  | `piece:${string}`
  | `fit:${Direction}`
  | `extra:${number}`
  | 'seam'
  | 'sizing'
  | 'tools'
  | 'family'

export type SubjectKind = Subject extends infer One
  ? One extends `${infer Kind}:${string | number}`
    ? Kind
    : One
  : never

/** What kind of thing a finding is about, whichever of them it is. */
export function kindOfSubject(about: Subject): SubjectKind {
  const end = about.indexOf(':')
  return (end < 0 ? about : about.slice(0, end)) as SubjectKind
}

export type Finding = { [Code in FindingCode]: FindingOf<Code> }[FindingCode]

export interface FindingOf<Code extends FindingCode> {
  readonly code: Code
  readonly about: Subject
  readonly data: FindingData[Code]
  /** Where it weighs otherwise than its code does as a rule. */
  readonly severity?: Severity
  /** A change of the cover that mends it, where there is one. */
  readonly repair?: Repair
}

/** A list of one finding when `holds`, else an empty one. */
export function findingWhen<Code extends FindingCode>(
  holds: boolean,
  code: Code,
  about: Subject,
  data: FindingData[Code],
  repair?: Repair,
): readonly Finding[] {
  if (!holds) return []
  const found: FindingOf<Code> = { code, about, data, ...(repair && { repair }) }
  return [found as unknown as Finding]
}
