import type { z } from 'zod'
import type { Finding } from '../finding/finding.js'
import type { Clearance } from '../fit/clearance.js'
import type { Fit } from '../fit/fit.js'
import type { CoverHand } from '../fit/cover-hand.js'
import type { OldCover } from '../fit/old-cover.js'
import type { RuleMeasure, RuleSizing, SettledSizing } from '../fit/sizing.js'
import type { Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { Bench } from '../make/bench.js'
import type { Draft } from '../make/draft.js'
import type { CutFrom } from '../material/cut-from.js'
import type { Stack } from '../material/layer.js'
import type { Role } from '../material/role.js'
import type { CoveredObject } from '../object/reading.js'
import type { RequiredReadings } from '../object/required.js'
import type { Notion } from '../piece/notion.js'
import type { Piece } from '../piece/piece.js'
import { oncePerUnit } from './once-per-unit.js'
import type { Joining } from './joining.js'
import type { Section } from './section.js'
import type { Strip } from './strip.js'
import type { Trait } from './trait.js'

/** Everything a family needs to work out one cover; recipes are resolved already. */
export interface Job<Options> {
  /** The thing covered; the first of several. */
  readonly object: CoveredObject
  /** All things that the cover is for; one, but where a family serves several. */
  readonly objects: readonly CoveredObject[]
  /** As it is sewn: a layer whose panel is cut from another cloth is that cloth. */
  readonly stack: Stack
  /** What single pieces are cut from where that is not the cloth of their role. */
  readonly cutFrom: CutFrom
  readonly unit: Unit
  readonly grid: Length
  readonly seam: Length
  readonly sizing: SettledSizing
  readonly options: Options
  /** What pockets inside and their contents add to the thickness of the closed thing. */
  readonly inside: Length
  /** How much more than its readings say the thing needs, as a trial piece told; absent where none was tried. */
  readonly told: { readonly width?: Length; readonly height?: Length }
  /** An old cover that fits and was measured instead of the thing. */
  readonly old: OldCover
  /** How the hand errs that makes it. */
  readonly hand?: CoverHand
  /** By the reckoning of which version of the cover file. */
  readonly reckoning: Reckoning
}

/** The reckoning as it is, or as it was before it was mended: kept to say what has become of older covers. */
export type Reckoning = 'first' | 'present'

/** Roles that get pieces, but in the reckoning that was first, where they only counted in the stack. */
export function cutSince(
  { reckoning }: Pick<Job<unknown>, 'reckoning'>,
  ...roles: readonly Role[]
): readonly Role[] {
  return reckoning === 'first' ? [] : roles
}

/** How one of the things that a cover is for is served: what is left of the free end, and what is in the way. */
export interface Served {
  /** Which thing, counted from 1. */
  readonly book: number
  readonly free: Length
  readonly reason?: ServedReason
}

export type ServedReason =
  'grip-too-short' | 'free-too-long' | 'fixed-too-long' | 'too-short' | 'strap-on-fold'

/** The plies that one pass of the needle goes through, folded ones counted twice; not pressed. */
export interface SeamBulk {
  readonly name: string
  readonly thickness: Length
}

/** What a family works out. Parts without a meaning for it are left out or empty. */
export interface FamilyPlan {
  readonly pieces: readonly Piece[]
  readonly notions: readonly Notion[]
  readonly standOff: { readonly body: Length; readonly flap?: Length }
  readonly fits: readonly Fit[]
  readonly findings: readonly Finding[]
  readonly seams: readonly SeamBulk[]
  /** What seams and turned edges take from the outer as it is cut, or trimmed; absent where it is not sewn and turned. */
  readonly allowances?: { readonly width: Length; readonly height: Length }
  readonly serves?: readonly Served[]
  /** How what the cover itself holds fits into it, where that is no ease of the cover. */
  readonly contents?: Fit
  /** Rooms that a make must keep beside its fits. */
  readonly clearances?: readonly Clearance[]
  /** The finished cover laid flat, seen from outside. */
  readonly strip: Strip
  /** The closed thing seen from its tail, with the layers round it. */
  readonly section: Section
  /** What lies on what when it is joined, in the order of the work. */
  readonly joinings: readonly Joining[]
}

/** What a recipe knows of the cover that it is for. */
export interface Brief {
  readonly object: CoveredObject
  readonly stack: Stack
  readonly unit: Unit
  readonly seam: Length
}

/** A named rule: what it adds, why somebody likes it, and what it costs. */
export interface Recipe<Options> {
  readonly id: string
  readonly name: string
  readonly reason: string
  readonly price: string
  readonly seam: (unit: Unit) => Length
  readonly sizing: (brief: Omit<Brief, 'seam'>) => RuleSizing
  /** The options it brings, for this thing and the seam in use. */
  readonly options: (brief: Brief) => Options
}

/** Whether a way of making suits a thing, in one sentence. */
export interface Suitability {
  readonly suits: boolean
  readonly why: string
}

export interface FamilyWords {
  readonly name: string
  readonly summary: string
  /** 1 a first piece of sewing, 2 some practice, 3 patience and practice. */
  readonly difficulty: 1 | 2 | 3
  readonly tools: 'sewing machine' | 'glue' | 'sewing machine, glue'
}

export interface FamilyDefinition<Options extends object> {
  readonly id: string
  /** Counts up with each change of the stored options. */
  readonly version: number
  readonly words: FamilyWords
  readonly traits: readonly Trait[]
  readonly suits: (object: CoveredObject) => Suitability
  readonly requiredReadings: RequiredReadings
  /** What must be read although an old cover that fits was measured; left out where that would not help. */
  readonly besideOldCover?: RequiredReadings
  /** Whether the board's thickness enters its formulas. */
  readonly boardCounts: boolean
  /** Whether one cover may be made for several things. */
  readonly severalObjects: boolean
  /** Measures that a rule may add to; the first is the default. Empty where only computed sizing has a meaning. */
  readonly ruleMeasures: readonly RuleMeasure[]
  /** Options that are left open where the fewest covers for a series are looked for. */
  readonly variedOptions?: readonly string[]
  readonly defaultSeam: (unit: Unit, options: Options) => Length
  readonly defaultEase: (unit: Unit) => { readonly width: Length; readonly height: Length }
  /** Where a layer ends inside the edge unless said, where it differs from what is usual. */
  readonly defaultInset?: (role: Role, unit: Unit) => Length | undefined
  /** Strict schema of the options as typed, lengths in `unit`; its fields carry label and help as `meta`. */
  readonly options: (unit: Unit) => z.ZodObject<z.ZodRawShape> & z.ZodType<Options>
  /** Options that do nothing beside the others as they stand (`options` with every default): the form leaves them out. */
  readonly unused?: (options: Readonly<Record<string, unknown>>) => readonly string[]
  /** The options of a job with every default filled in, for the form on screen. */
  readonly resolveOptions: (job: Job<Options>) => object
  readonly recipes: readonly Recipe<Options>[]
  readonly plan: (job: Job<Options>) => FamilyPlan
}

/** Everything that a way of making needs to say its steps: the cover as planned, and what lies on the table. */
export interface Work<Options> extends Bench {
  readonly job: Job<Options>
  readonly made: FamilyPlan
}

/** A family as its callers see it: options are what its own schema made of them. */
export type Family = FamilyDefinition<FamilyOptions>
export type FamilyOptions = Readonly<Record<string, unknown>>

/** Seals a family's option type, so that no caller needs generics. Only options from its own schema go back in. */
export function defineFamily<Options extends object>(definition: FamilyDefinition<Options>): Family {
  return { ...definition, options: oncePerUnit(definition.options) } as unknown as Family
}

/** How a way of making is made, from the first seam on: cutting, fusing and what is added stand elsewhere. */
export type FamilySteps = (work: Work<FamilyOptions>) => readonly Draft[]
