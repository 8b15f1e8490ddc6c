import type { z } from 'zod'
import type { Finding } from '../finding/finding.js'
import type { Fit } from '../fit/fit.js'
import type { ComputedSizing, RuleMeasure, RuleSizing } from '../fit/sizing.js'
import type { Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { Stack } from '../material/layer.js'
import type { CoveredObject } from '../object/reading.js'
import type { RequiredReadings } from '../object/required.js'
import type { Piece } from '../piece/piece.js'
import type { Section } from './section.js'
import type { Strip } from './strip.js'

/** Everything a family needs to work out one cover; recipes are resolved already. */
export interface Job<Options> {
  readonly object: CoveredObject
  readonly stack: Stack
  readonly unit: Unit
  readonly grid: Length
  readonly seam: Length
  readonly sizing: ComputedSizing | RuleSizing
  readonly options: Options
}

/** What a family works out. Parts without a meaning for it are left out. */
export interface FamilyPlan {
  readonly pieces: readonly Piece[]
  readonly standOff: { readonly body: Length; readonly flap?: Length }
  readonly fits: readonly Fit[]
  readonly findings: readonly Finding[]
  /** The finished cover laid flat, seen from outside. */
  readonly strip: Strip
  /** The closed thing seen from its tail, with the layers round it. */
  readonly section: Section
}

/** A named rule: what it adds, why somebody likes it, and what it costs. */
export interface Recipe<Options> {
  readonly id: string
  readonly name: string
  readonly reason: string
  readonly price: string
  readonly seam: (unit: Unit) => Length
  readonly sizing: (unit: Unit) => RuleSizing
  /** The options it brings, for this thing and the seam in use. */
  readonly options: (object: CoveredObject, unit: Unit, seam: Length) => Options
}

export interface FamilyWords {
  readonly name: string
  readonly summary: string
}

export interface FamilyDefinition<Options extends object> {
  readonly id: string
  /** Counts up with each change of the stored options. */
  readonly version: number
  readonly words: FamilyWords
  readonly requiredReadings: RequiredReadings
  /** Whether the board's thickness enters its formulas. */
  readonly boardCounts: boolean
  /** Measures that a rule may add to; the first is the default. Empty where only computed sizing has a meaning. */
  readonly ruleMeasures: readonly RuleMeasure[]
  readonly defaultSeam: (unit: Unit) => Length
  readonly defaultEase: (unit: Unit) => { readonly width: Length; readonly height: Length }
  /** Strict schema of the options as typed, lengths in `unit`; its fields carry label and help as `meta`. */
  readonly options: (unit: Unit) => z.ZodObject<z.ZodRawShape> & z.ZodType<Options>
  /** The options of a job with every default filled in, for the form on screen. */
  readonly resolveOptions: (job: Job<Options>) => object
  readonly recipes: readonly Recipe<Options>[]
  readonly plan: (job: Job<Options>) => FamilyPlan
}

/** A family as its callers see it: options are what its own schema made of them. */
export type Family = FamilyDefinition<FamilyOptions>
export type FamilyOptions = Readonly<Record<string, unknown>>

/** Seals a family's option type, so that no caller needs generics. Only options from its own schema go back in. */
export function defineFamily<Options extends object>(definition: FamilyDefinition<Options>): Family {
  return definition as unknown as Family
}
