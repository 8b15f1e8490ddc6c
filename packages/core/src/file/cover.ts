import type { Extra } from '../extras/contract.js'
import type { Family, FamilyOptions } from '../families/contract.js'
import type { CoverHand } from '../fit/cover-hand.js'
import type { OldCover } from '../fit/old-cover.js'
import type { Trial } from '../fit/trial.js'
import type { Sizing } from '../fit/sizing.js'
import type { Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { CutFrom, NoSuchCloth } from '../material/cut-from.js'
import type { Stack } from '../material/layer.js'
import type { Material } from '../material/material.js'
import type { CoveredObject } from '../object/reading.js'

/** A cover file that was read and found whole in form: every length known, family and extras looked up. */
export interface Cover {
  readonly name: string
  readonly unit: Unit
  readonly grid: Length
  /** What is covered; the first of several. */
  readonly object: CoveredObject
  readonly objects: readonly CoveredObject[]
  readonly family: Family
  /** As stated; absent where recipe or family decides. */
  readonly seam?: Length
  readonly sizing: Sizing
  readonly options: FamilyOptions
  /** As its layers are said, each of its own material. */
  readonly stack: Stack
  /** Further materials, that single pieces are cut from. */
  readonly cloths: readonly Material[]
  readonly cutFrom: CutFrom
  /** Pieces that are to be cut from a cloth that is not there. */
  readonly noSuchCloths: readonly NoSuchCloth[]
  /** Pieces that are pieced: made larger and trimmed. */
  readonly pieced: readonly string[]
  readonly extras: readonly AddedExtra[]
  /** How a trial piece went on; absent where none was tried. */
  readonly trial?: Trial
  readonly old: OldCover
  /** How the hand errs that it is planned for; absent for one that errs to no side. */
  readonly hand?: CoverHand
  /** The version of the file in which it was reckoned before, until somebody has seen what is otherwise now. */
  readonly upgradedFrom?: number
}

export interface AddedExtra {
  readonly extra: Extra
  readonly options: Readonly<Record<string, unknown>>
}

/** The same cover for things that are changed, each alike. */
export function withObjects(cover: Cover, change: (object: CoveredObject) => CoveredObject): Cover {
  const objects = cover.objects.map(change)
  return { ...cover, object: objects[0] ?? cover.object, objects }
}
