import type { ExtraPlan } from './extras/contract.js'
import type { FamilyPlan, Job, FamilyOptions } from './families/contract.js'
import { settleMakeUp, type Settled } from './families/recipe.js'
import type { Strip } from './families/strip.js'
import type { Cover } from './file/cover.js'
import { findingWhen, type Finding } from './finding/finding.js'
import type { Length } from './length/length.js'
import { checkReadings } from './object/cross-check.js'
import type { Notion } from './piece/notion.js'
import { isCuttable, type Piece } from './piece/piece.js'

/** Everything worked out for one cover. */
export interface Plan extends Omit<FamilyPlan, 'strip'> {
  readonly strip: Strip
  readonly notions: readonly Notion[]
  /** What recipe and defaults settled on. */
  readonly settled: { readonly seam: Length; readonly options: object }
}

/**
 * Plans a cover: pieces with reasons, notions, panels, fit and findings. The readings its family requires must be
 * there (`readCover` sees to it). Pieces that come out at nothing are left out and found fault with.
 */
export function plan(cover: Cover): Plan {
  const { family, object } = cover
  const settled = settleMakeUp(family, cover)
  const job = jobOf(cover, settled)
  const made = family.plan(job)
  const added = cover.extras.map(({ extra, options }) =>
    extra.plan({ object, unit: cover.unit, grid: cover.grid, cover: made, options }),
  )
  const pieces = numbered([...made.pieces, ...added.flatMap(extra => extra.pieces)])
  return {
    ...made,
    pieces: pieces.filter(isCuttable),
    notions: numbered(added.flatMap(extra => extra.notions)),
    strip: withLines(made.strip, added),
    settled: { seam: settled.seam, options: family.resolveOptions(job) },
    findings: [
      ...checkReadings(object, { boardCounts: family.boardCounts }),
      ...settled.findings,
      ...made.findings,
      ...added.flatMap(extra => extra.findings),
      ...pieces.flatMap(checkPiece),
    ],
  }
}

function jobOf({ object, stack, unit, grid }: Cover, { seam, sizing, options }: Settled): Job<FamilyOptions> {
  return { object, stack, unit, grid, seam, sizing, options }
}

function checkPiece(piece: Piece): readonly Finding[] {
  const sizes = { piece: piece.id, width: piece.width.exact, height: piece.height.exact }
  return findingWhen(!isCuttable(piece), 'piece-too-small', `piece:${piece.id}`, sizes)
}

function withLines(strip: Strip, added: readonly ExtraPlan[]): Strip {
  return { ...strip, lines: [...strip.lines, ...added.flatMap(extra => extra.lines)] }
}

/** The second of a name is called name-2, and so on. */
function numbered<Named extends Piece | Notion>(list: readonly Named[]): readonly Named[] {
  const seen = new Map<string, number>()
  return list.map(entry => {
    const count = (seen.get(entry.id) ?? 0) + 1
    seen.set(entry.id, count)
    return count === 1 ? entry : { ...entry, id: `${entry.id}-${count}` }
  })
}
