import type { ExtraPlan, SizeNote } from '../extras/contract.js'
import type { PlaceKey } from '../extras/place-keys.js'
import type { FamilyOptions, FamilyPlan, Job, Reckoning } from '../families/contract.js'
import { settleMakeUp, type Settled } from '../families/recipe.js'
import type { Cover } from '../file/cover.js'
import { toldByTrial } from '../fit/trial.js'
import { add, zero, type Length } from '../length/length.js'
import { withOwnCloths } from '../material/cut-from.js'
import { outerOf, type Stack } from '../material/layer.js'
import { checkReadings } from '../object/cross-check.js'
import { isCuttable } from '../piece/piece.js'
import { completePieces } from './complete-pieces.js'
import { judgeExtras } from './judge-extras.js'
import { checkPiece, judgeMaking } from './judge-making.js'
import { mendedSizes } from './mended.js'
import { checkNamedPieces } from './named-pieces.js'
import { numbered, numberedNotions } from './numbered.js'
import { checkOldCover } from './old-cover.js'
import { placesOf, withExtras, type PlacedExtra } from './placed.js'

/** Everything worked out for one cover. */
export interface Plan extends FamilyPlan {
  /** What recipe and defaults settled on. */
  readonly settled: { readonly seam: Length; readonly options: object }
  /** Which extra, counted from 0, brought each of the pieces that the way of making did not. */
  readonly extraPieces: Readonly<Record<string, number>>
  /** Likewise which brought each of the notions. */
  readonly extraNotions: Readonly<Record<string, number>>
  /** Where extras lie on the pieces that carry them. */
  readonly placed: readonly PlacedExtra[]
  /** What else is to be known of the extras: by which, counted from 0. */
  readonly notes: readonly (SizeNote & { readonly extra: number })[]
}

/**
 * Plans a cover: pieces with reasons, notions, panels, fit and findings. The readings its family requires must be
 * there (`readCover` sees to it). Pieces that come out at nothing are left out and found fault with.
 */
export function plan(cover: Cover): Plan {
  const planned = planAs(cover, 'present')
  const mended = cover.upgradedFrom === undefined ? [] : mendedSizes(planAs(cover, 'first'), planned)
  const more = [...mended, ...checkOldCover(cover, other => planAs(other, 'present'))]
  return more.length > 0 ? { ...planned, findings: [...more, ...planned.findings] } : planned
}

/** The job that a cover gives its way of making: what its steps are worked out from, beside the plan. */
export function jobFor(cover: Cover): Job<FamilyOptions> {
  return settle(cover, 'present').job
}

function settle(cover: Cover, reckoning: Reckoning) {
  const settled = settleMakeUp(cover.family, cover)
  const carried = cover.extras.map(added => added.extra.refuses(cover.family.traits) === undefined)
  const job = jobOf(cover, settled, thicknessInside(cover, stackAsSewn(cover, reckoning), carried), reckoning)
  return { settled, carried, job }
}

function planAs(cover: Cover, reckoning: Reckoning): Plan {
  const { family, objects } = cover
  const { settled, carried, job } = settle(cover, reckoning)
  const made = family.plan(job)
  const added = cover.extras.map((entry, index) =>
    carried[index] ? planExtra(cover, job, made, index) : undefined,
  )
  const pieces = completePieces(
    job,
    cover,
    numbered([
      ...made.pieces.map(piece => ({ piece })),
      ...added.flatMap((extra, index) => (extra?.pieces ?? []).map(piece => ({ piece, index }))),
    ]),
  )
  const notions = numberedNotions([
    ...made.notions.map(notion => ({ notion })),
    ...added.flatMap((extra, index) => (extra?.notions ?? []).map(notion => ({ notion, index }))),
  ])
  return {
    ...made,
    pieces: pieces.map(({ piece }) => piece).filter(isCuttable),
    extraPieces: broughtBy(pieces.map(({ piece, index }) => [piece.id, index])),
    placed: added.flatMap((extra, index) => (extra ? placesOf(extra, index, heededBy(cover, index)) : [])),
    notes: added.flatMap((entry, extra) => (entry?.notes ?? []).map(note => ({ ...note, extra }))),
    notions: notions.map(({ notion }) => notion),
    extraNotions: broughtBy(notions.map(({ notion, index }) => [notion.id, index])),
    strip: withExtras(made.strip, added),
    settled: { seam: settled.seam, options: family.resolveOptions(job) },
    findings: [
      ...checkNamedPieces(
        cover,
        pieces.map(({ piece }) => piece),
      ),
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

/** What moves an extra on this cover. */
function heededBy({ extras, family }: Cover, index: number): readonly PlaceKey[] {
  return extras[index]?.extra.places(family.traits) ?? []
}

/** What an extra brought, and which. */
function broughtBy(
  list: readonly (readonly [string, number | undefined])[],
): Readonly<Record<string, number>> {
  return Object.fromEntries(list.flatMap(([id, index]) => (index === undefined ? [] : [[id, index]])))
}

function jobOf(
  cover: Cover,
  { seam, sizing, options }: Settled,
  inside: Length,
  reckoning: Reckoning,
): Job<FamilyOptions> {
  const { object, objects, cutFrom, unit, grid, old, hand } = cover
  const stack = stackAsSewn(cover, reckoning)
  const untried = {
    object,
    objects,
    stack,
    cutFrom,
    unit,
    grid,
    seam,
    sizing,
    options,
    inside,
    told: {},
    old,
    reckoning,
  }
  return {
    ...untried,
    ...(hand && { hand }),
    told: cover.trial ? toldByTrial(cover.trial, planTrial(cover, untried)) : {},
  }
}

/** Every layer as it is sewn: of the cloth that its piece is cut from, and caught in every seam where it is quilted. */
function stackAsSewn({ stack, cutFrom }: Cover, reckoning: Reckoning): Stack {
  const own = withOwnCloths(stack, cutFrom)
  if (reckoning === 'first') return own
  return own.map(layer => (layer.role === 'padding' && layer.quilted ? { ...layer, inset: zero } : layer))
}

/** The cover as its trial piece is made: the outer cloth, or scrap like it, and nothing else. */
function planTrial({ family }: Cover, { hand: _, ...job }: Job<FamilyOptions>): FamilyPlan {
  return family.plan({ ...job, stack: [outerOf(job.stack)], inside: zero })
}

function thicknessInside(
  { extras, object, cutFrom, unit, family }: Cover,
  stack: Stack,
  carried: readonly boolean[],
): Length {
  return add(
    ...extras.map(({ extra, options }, index) =>
      carried[index]
        ? (extra.thickness?.({ object, stack, cutFrom, unit, traits: family.traits, options }) ?? zero)
        : zero,
    ),
  )
}

function planExtra(
  { family, extras }: Cover,
  { object, unit, grid, stack, cutFrom, seam, reckoning }: Job<FamilyOptions>,
  cover: FamilyPlan,
  index: number,
): ExtraPlan | undefined {
  const added = extras[index]
  if (!added) return undefined
  const { traits } = family
  return added.extra.plan({
    object,
    unit,
    grid,
    stack,
    cutFrom,
    seam,
    reckoning,
    traits,
    cover,
    options: added.options,
    about: `extra:${index}`,
  })
}
