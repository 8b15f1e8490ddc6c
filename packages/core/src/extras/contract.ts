import type { z } from 'zod'
import type { FamilyPlan, Reckoning } from '../families/contract.js'
import { oncePerUnit } from '../families/once-per-unit.js'
import type { Face, StripArea, StripHole, StripLine, StripShape } from '../families/strip.js'
import type { Trait } from '../families/trait.js'
import type { Finding, Subject } from '../finding/finding.js'
import { zero, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { Bench } from '../make/bench.js'
import type { Draft } from '../make/draft.js'
import type { CutFrom } from '../material/cut-from.js'
import type { Stack } from '../material/layer.js'
import type { CoveredObject } from '../object/reading.js'
import type { Notion } from '../piece/notion.js'
import type { Piece } from '../piece/piece.js'
import type { PlaceKey } from './place-keys.js'

/** What is known of an extra before the cover is planned. */
export interface ExtraBrief<Options> {
  readonly object: CoveredObject
  readonly stack: Stack
  readonly cutFrom: CutFrom
  readonly unit: Unit
  readonly traits: readonly Trait[]
  readonly options: Options
}

/** What an extra needs to know of the cover it is added to. */
export interface ExtraJob<Options> extends ExtraBrief<Options> {
  readonly grid: Length
  readonly seam: Length
  readonly reckoning: Reckoning
  readonly cover: FamilyPlan
  /** Where its findings stand. */
  readonly about: Subject
}

/** A piece or a panel on the strip that carries something. */
export interface Ground extends Omit<StripArea, 'piece'> {
  readonly name: string
  readonly face: Face
  /** The piece itself, or what a panel is part of: a flap, or the walls of the cover. */
  readonly piece?: string
  /** Its right side is the strip's other one: what is left as one sees it lies to the right on the strip. */
  readonly mirrored: boolean
}

/** The ground that an extra takes on one face of the cover; two on the same ground collide. */
export interface Footprint extends Omit<StripArea, 'piece'> {
  readonly face: Face
  /** What it sits on, as far as it may reach. */
  readonly within?: Ground
  /** It may run over folds without harm. */
  readonly crossesFolds?: boolean
  /** It is caught in, or sewn close to, a long edge, where the turning opening must not be. */
  readonly atEdge?: boolean
}

/** A size that no piece and no notion says, and that whoever makes it must know: how far lines are apart. */
export interface SizeNote {
  readonly label: string
  readonly length: Length
}

/** What an extra brings: things to cut, things to buy, its place on the strip, warnings. */
export interface ExtraPlan {
  readonly pieces: readonly Piece[]
  readonly notions: readonly Notion[]
  readonly lines: readonly StripLine[]
  readonly shapes: readonly StripShape[]
  readonly holes: readonly StripHole[]
  readonly footprints: readonly Footprint[]
  readonly findings: readonly Finding[]
  readonly notes: readonly SizeNote[]
  /** How much of an edge it takes, and how much it leaves free between its feet: a handle’s feet and a tab go together. */
  readonly tabWidth?: Length
  readonly feetApart?: Length
  /** What it adds to the plies of the seam that catches it. */
  readonly caught: Length
}

/** An extra that brings nothing but what `parts` says. */
export function extraPlan(parts: Partial<ExtraPlan>): ExtraPlan {
  return {
    pieces: [],
    notions: [],
    lines: [],
    shapes: [],
    holes: [],
    footprints: [],
    findings: [],
    notes: [],
    caught: zero,
    ...parts,
  }
}

export interface ExtraDefinition<Options extends object> {
  readonly type: string
  readonly version: number
  readonly words: { readonly name: string; readonly summary: string }
  /** What it is among: the list on screen is grouped by it. */
  readonly group: 'pocket' | 'closure' | 'carrying' | 'trimming' | 'device'
  /** Why a cover with these traits cannot carry it; undefined where it can. */
  readonly refuses: (traits: readonly Trait[]) => string | undefined
  /** Which of `on`, `x` and `y` move it on a cover with these traits; what is said of the others comes to nothing. */
  readonly places: (traits: readonly Trait[]) => readonly PlaceKey[]
  /** Strict schema of its options beside `type`; its fields carry label and help as `meta`. */
  readonly options: (unit: Unit) => z.ZodObject<z.ZodRawShape> & z.ZodType<Options>
  /** What it and its contents add to the thickness of the closed thing; nothing where it is left out. */
  readonly thickness?: (brief: ExtraBrief<Options>) => Length
  readonly plan: (job: ExtraJob<Options>) => ExtraPlan
}

/** What an extra needs to say its steps: what it brought, and where it goes. */
export interface ExtraWork<Options> extends Bench {
  readonly options: Options
  readonly traits: readonly Trait[]
  readonly object: CoveredObject
  /** As the maker calls it: “patch pocket”. */
  readonly name: string
  readonly ownPieces: readonly Piece[]
  readonly ownNotions: readonly Notion[]
  /** The piece that it is put on. */
  readonly carrier: string
  /** Where on it, where that is known. */
  readonly placed?: PlacedOn
  /** What holds ties, loops and tabs: a seam that catches them, or an edge that is stitched or glued over them. */
  readonly held: 'seam' | 'edge'
  readonly notes: readonly SizeNote[]
}

/** From the lower left corner of what carries it, as seen from its right side. */
export interface PlacedOn {
  readonly x: Length
  readonly y: Length
  readonly width: Length
  readonly height: Length
  readonly on: string
}

/** An extra as its callers see it: options are what its own schema made of them. */
export type Extra = ExtraDefinition<Readonly<Record<string, unknown>>>

/** Seals an extra's option type, so that no caller needs generics. */
export function defineExtra<Options extends object>(definition: ExtraDefinition<Options>): Extra {
  return { ...definition, options: oncePerUnit(definition.options) } as unknown as Extra
}

/** How an extra is made and put on; one place fits the steps into those of the cover. */
export type ExtraSteps = (work: ExtraWork<Readonly<Record<string, unknown>>>) => readonly Draft[]
