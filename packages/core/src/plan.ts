import { checkPlaces } from './extras/check-places.js'
import type { ExtraPlan, SizeNote } from './extras/contract.js'
import { placeLabels, unheeded, type Place } from './extras/place-keys.js'
import { extras as knownExtras } from './extras/registry.js'
import type { FamilyOptions, FamilyPlan, Job } from './families/contract.js'
import { settleMakeUp, type Settled } from './families/recipe.js'
import type { Strip } from './families/strip.js'
import type { Trait } from './families/trait.js'
import type { AddedExtra, Cover } from './file/cover.js'
import { findingWhen, type Finding } from './finding/finding.js'
import { toldByTrial } from './fit/trial.js'
import { adviseOnMaterials } from './judge/material-advice.js'
import { adviseOnCorners, adviseOnSeam } from './judge/seam-advice.js'
import { checkUsual } from './judge/usual.js'
import { add, mm, subtract, zero, type Length } from './length/length.js'
import { outerOf } from './material/layer.js'
import { checkReadings } from './object/cross-check.js'
import type { Notion } from './piece/notion.js'
import { isCuttable, type Piece } from './piece/piece.js'

/** Everything worked out for one cover. */
export interface Plan extends FamilyPlan {
  /** What recipe and defaults settled on. */
  readonly settled: { readonly seam: Length; readonly options: object }
  /** Which extra, counted from 0, brought each of the pieces that the way of making did not. */
  readonly extraPieces: Readonly<Record<string, number>>
  /** Where extras lie on the pieces that carry them. */
  readonly placed: readonly PlacedExtra[]
  /** What else is to be known of the extras: by which, counted from 0. */
  readonly notes: readonly (SizeNote & { readonly extra: number })[]
}

/** An extra on its piece, seen from the right side: its lower left corner from that of the piece. */
export interface PlacedExtra {
  /** Which extra, counted from 0. */
  readonly extra: number
  readonly ground: { readonly name: string; readonly width: Length; readonly height: Length }
  readonly x: Length
  readonly y: Length
  readonly width: Length
  readonly height: Length
}

/**
 * Plans a cover: pieces with reasons, notions, panels, fit and findings. The readings its family requires must be
 * there (`readCover` sees to it). Pieces that come out at nothing are left out and found fault with.
 */
export function plan(cover: Cover): Plan {
  const { family, objects } = cover
  const settled = settleMakeUp(family, cover)
  const carried = cover.extras.map(added => added.extra.refuses(family.traits) === undefined)
  const job = jobOf(cover, settled, thicknessInside(cover, carried))
  const made = family.plan(job)
  const added = cover.extras.map((entry, index) =>
    carried[index] ? planExtra(cover, job, made, entry, index) : undefined,
  )
  const pieces = numbered([
    ...made.pieces.map(piece => ({ piece })),
    ...added.flatMap((extra, index) => (extra?.pieces ?? []).map(piece => ({ piece, index }))),
  ])
  return {
    ...made,
    pieces: pieces.map(({ piece }) => piece).filter(isCuttable),
    extraPieces: Object.fromEntries(
      pieces.flatMap(({ piece, index }) => (index === undefined ? [] : [[piece.id, index]])),
    ),
    placed: added.flatMap((extra, index) => (extra ? placesOf(extra, index) : [])),
    notes: added.flatMap((entry, extra) => (entry?.notes ?? []).map(note => ({ ...note, extra }))),
    notions: numberedNotions([...made.notions, ...added.flatMap(extra => extra?.notions ?? [])]),
    strip: withExtras(made.strip, added),
    settled: { seam: settled.seam, options: family.resolveOptions(job) },
    findings: [
      ...objects.flatMap(object => checkReadings(object, { boardCounts: family.boardCounts })),
      ...settled.findings,
      ...made.findings,
      ...judgeMaking(cover, job, made),
      ...added.flatMap(extra => extra?.findings ?? []),
      ...judgeExtras(cover, made, added, job.inside),
      ...pieces.flatMap(({ piece }) => checkPiece(piece)),
    ],
  }
}

function jobOf(cover: Cover, { seam, sizing, options }: Settled, inside: Length): Job<FamilyOptions> {
  const { object, objects, stack, unit, grid } = cover
  const untried = { object, objects, stack, unit, grid, seam, sizing, options, inside, told: {} }
  return { ...untried, told: cover.trial ? toldByTrial(cover.trial, planTrial(cover, untried)) : {} }
}

/** The cover as its trial piece is made: the outer cloth, or scrap like it, and nothing else. */
function planTrial({ family, stack }: Cover, job: Job<FamilyOptions>): FamilyPlan {
  return family.plan({ ...job, stack: [outerOf(stack)], inside: zero })
}

function thicknessInside(
  { extras, object, stack, unit, family }: Cover,
  carried: readonly boolean[],
): Length {
  return add(
    ...extras.map(({ extra, options }, index) =>
      carried[index]
        ? (extra.thickness?.({ object, stack, unit, traits: family.traits, options }) ?? zero)
        : zero,
    ),
  )
}

function planExtra(
  { family, object, unit, grid, stack }: Cover,
  { seam }: Job<FamilyOptions>,
  cover: FamilyPlan,
  { extra, options }: AddedExtra,
  index: number,
): ExtraPlan {
  const { traits } = family
  return extra.plan({ object, unit, grid, stack, seam, traits, cover, options, about: `extra:${index}` })
}

/** What the materials, the seams and unusual options give to think of. */
function judgeMaking(
  { family, unit }: Cover,
  job: Job<FamilyOptions>,
  { seams }: FamilyPlan,
): readonly Finding[] {
  return [
    ...checkUsual(family.options(unit), job.options, { aboutOf: key => `option:${key}`, repairs: true }),
    ...adviseOnMaterials(job, family.traits),
    ...seams.flatMap(seam => adviseOnSeam(seam)),
    ...(family.traits.includes('turned') ? adviseOnCorners(seams) : []),
  ]
}

/** Above this a page no longer lies flat over a pocket. Source: docs/craft.md, Things added. */
const flatPage = mm(5)

function judgeExtras(
  { family, extras, unit }: Cover,
  made: FamilyPlan,
  added: readonly (ExtraPlan | undefined)[],
  inside: Length,
): readonly Finding[] {
  const thickest = made.seams.toSorted((one, other) => other.thickness - one.thickness)[0]
  const prints = added.flatMap((extra, index) =>
    (extra?.footprints ?? []).map(print => ({
      ...print,
      index,
      name: extras[index]?.extra.words.name ?? '',
    })),
  )
  return [
    ...extras.flatMap(({ extra }, index) => {
      const why = extra.refuses(family.traits)
      return findingWhen(why !== undefined, 'extra-not-carried', `extra:${index}`, {
        extra: extra.words.name,
        why: why ?? '',
      })
    }),
    ...extras.flatMap(({ extra, options }, index) =>
      checkUsual(extra.options(unit), options, { aboutOf: () => `extra:${index}`, repairs: false }),
    ),
    ...added.flatMap((extra, index) =>
      extra && thickest && extra.caught > zero
        ? adviseOnSeam(
            {
              name: `${thickest.name} with the ${(extras[index]?.extra.words.name ?? '').toLowerCase()}`,
              thickness: add(thickest.thickness, extra.caught),
            },
            `extra:${index}`,
          )
        : [],
    ),
    ...extras.flatMap((added, index) => checkHeeded(added, family.traits, `extra:${index}`)),
    ...checkClosure(family.traits, extras),
    ...checkPlaces(made.strip, prints, unit),
    ...findingWhen(inside > flatPage, 'page-not-flat', 'fit:width', { thickness: inside, most: flatPage }),
  ]
}

/** A place that comes to nothing, on a cover that carries the extra. */
function checkHeeded(
  { extra, options }: AddedExtra,
  traits: readonly Trait[],
  about: Finding['about'],
): readonly Finding[] {
  if (extra.refuses(traits) !== undefined) return []
  const said = unheeded(options as Place, extra.places(traits)).map(key => placeLabels[key].toLowerCase())
  return findingWhen(said.length > 0, 'place-unheeded', about, { extra: extra.words.name, said })
}

/** What folds over a device or a journal falls open unless something holds it. */
function checkClosure(traits: readonly Trait[], added: readonly AddedExtra[]): readonly Finding[] {
  const open = traits.includes('folds-over') && !traits.includes('book')
  const closed = added.some(({ extra }) => extra.group === 'closure' && extra.refuses(traits) === undefined)
  const closures = closuresFor(traits)
  return findingWhen(open && !closed && closures.length > 0, 'no-closure', 'family', { closures })
}

function closuresFor(traits: readonly Trait[]): readonly string[] {
  return knownExtras
    .filter(({ group, refuses }) => group === 'closure' && refuses(traits) === undefined)
    .slice(0, 2)
    .map(({ words }) => `a ${words.name.toLowerCase()}`)
}

/** The first footprint that has ground of its own. */
function placesOf({ footprints }: ExtraPlan, extra: number): readonly PlacedExtra[] {
  return footprints.slice(0, 1).flatMap(({ at, width, height, face, within: ground }) => {
    if (!ground) return []
    const left = subtract(at[0], ground.at[0])
    return [
      {
        extra,
        ground: { name: ground.name, width: ground.width, height: ground.height },
        x: face === 'inside' ? subtract(subtract(ground.width, left), width) : left,
        y: subtract(subtract(ground.height, subtract(at[1], ground.at[1])), height),
        width,
        height,
      },
    ]
  })
}

function checkPiece(piece: Piece): readonly Finding[] {
  const sizes = { piece: piece.id, width: piece.width.exact, height: piece.height.exact }
  return findingWhen(!isCuttable(piece), 'piece-too-small', `piece:${piece.id}`, sizes)
}

function withExtras(strip: Strip, added: readonly (ExtraPlan | undefined)[]): Strip {
  return {
    ...strip,
    lines: [...strip.lines, ...added.flatMap(extra => extra?.lines ?? [])],
    shapes: [...strip.shapes, ...added.flatMap(extra => extra?.shapes ?? [])],
    holes: [...strip.holes, ...added.flatMap(extra => extra?.holes ?? [])],
  }
}

interface FromExtra {
  readonly piece: Piece
  readonly index?: number
}

/** The second of a name is called name-2, and so on. */
function numbered(list: readonly FromExtra[]): readonly FromExtra[] {
  const name = counter()
  return list.map(entry => ({ ...entry, piece: { ...entry.piece, id: name(entry.piece.id) } }))
}

function numberedNotions(list: readonly Notion[]): readonly Notion[] {
  const name = counter()
  return list.map(notion => ({ ...notion, id: name(notion.id) }))
}

function counter(): (id: string) => string {
  const seen = new Map<string, number>()
  return id => {
    const count = (seen.get(id) ?? 0) + 1
    seen.set(id, count)
    return count === 1 ? id : `${id}-${count}`
  }
}
