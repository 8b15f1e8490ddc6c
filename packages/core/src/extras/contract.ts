import type { z } from 'zod'
import type { Finding } from '../finding/finding.js'
import type { FamilyPlan } from '../families/contract.js'
import type { StripLine } from '../families/strip.js'
import type { Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { CoveredObject } from '../object/reading.js'
import type { Notion } from '../piece/notion.js'
import type { Piece } from '../piece/piece.js'

/** What an extra needs to know of the cover it is added to. */
export interface ExtraJob<Options> {
  readonly object: CoveredObject
  readonly unit: Unit
  readonly grid: Length
  readonly cover: FamilyPlan
  readonly options: Options
}

/** What an extra brings: things to cut, things to buy, lines on the strip, warnings. */
export interface ExtraPlan {
  readonly pieces: readonly Piece[]
  readonly notions: readonly Notion[]
  readonly lines: readonly StripLine[]
  readonly findings: readonly Finding[]
}

export interface ExtraDefinition<Options extends object> {
  readonly type: string
  readonly version: number
  readonly words: { readonly name: string; readonly summary: string }
  /** Strict schema of its options beside `type`; its fields carry label and help as `meta`. */
  readonly options: (unit: Unit) => z.ZodObject<z.ZodRawShape> & z.ZodType<Options>
  readonly plan: (job: ExtraJob<Options>) => ExtraPlan
}

/** An extra as its callers see it: options are what its own schema made of them. */
export type Extra = ExtraDefinition<Readonly<Record<string, unknown>>>

/** Seals an extra's option type, so that no caller needs generics. */
export function defineExtra<Options extends object>(definition: ExtraDefinition<Options>): Extra {
  return definition as unknown as Extra
}
