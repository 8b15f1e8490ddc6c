import { withObjects, type Cover } from '../file/cover.js'
import { handOf } from '../fit/cover-hand.js'
import type { Hand } from '../fit/simulation/hand.js'
import type { Source, Uncertainty } from '../fit/simulation/model.js'
import { inches, longest, scale, type Length } from '../length/length.js'
import { deriveWrapFromSides } from '../object/derive.js'
import type { Reading, ReadingKey } from '../object/reading.js'
import { deriveUncertainty } from '../object/uncertainty.js'
import { totalOf } from '../piece/reason.js'
import { plan, type Plan } from '../plan/plan.js'
import { judgedIn, simulating, type SimulationOptions } from '../simulate.js'

/** Something a maker can do for a better chance. */
export type RemedyKind =
  | { readonly what: 'measure-exactly'; readonly reading: ReadingKey }
  | { readonly what: 'measure-itself'; readonly reading: ReadingKey }
  | { readonly what: 'measure-again'; readonly reading: ReadingKey; readonly times: number }
  | { readonly what: 'wrap-it' }
  | { readonly what: 'finer-tape'; readonly division: Length }
  | { readonly what: 'cut-along-rule'; readonly edgeMm: number }
  | { readonly what: 'sew-along-line'; readonly lineMm: number }
  | { readonly what: 'measure-layers'; readonly share: number }
  | { readonly what: 'leave-room-to-trim' }

/** What it would do: the chance without it and with it, on the same makes. */
export interface Remedy {
  readonly kind: RemedyKind
  readonly source: Source
  readonly before: number
  readonly after: number
}

interface Candidate {
  readonly kind: RemedyKind
  readonly source: Source
  readonly cover?: Cover
  readonly options?: SimulationOptions
}

/** What careful work comes to. Source: docs/craft.md, What to do for a better chance. */
const careful = { edgeMm: 0.4, lineMm: 0.4, stackShare: 0.05 }

/**
 * Tries everything that a maker could do, each on its own on the same makes, and gives what it would change: the
 * greatest gain first. Yields the share done. Empty where nothing can fail to fit.
 */
export function* weighRemedies(
  cover: Cover,
  before: number,
  options: { readonly makes?: number; readonly seed?: number } = {},
): Generator<number, readonly Remedy[]> {
  const planned = plan(cover)
  const candidates = listCandidates(cover, planned)
  const weighed: Remedy[] = []
  for (const [index, { kind, source, cover: changed, options: more }] of candidates.entries()) {
    const trying = simulating(changed ?? cover, changed ? plan(changed) : planned, { ...options, ...more })
    let step = trying.next()
    while (!step.done) {
      yield (index + step.value) / candidates.length
      step = trying.next()
    }
    if (step.value) weighed.push({ kind, source, before, after: step.value.chance })
  }
  return weighed.toSorted((one, other) => other.after - one.after)
}

function listCandidates(cover: Cover, planned: Plan): readonly Candidate[] {
  const keys = readingsIn(planned)
  return [
    ...keys.flatMap(key => readingCandidates(cover, key)),
    ...wrapCandidate(cover, keys),
    ...tapeCandidate(cover, keys),
    ...handCandidates(cover, planned),
  ]
}

/** The readings that the fits rest on, each once. */
export function readingsIn(planned: Plan): readonly ReadingKey[] {
  const { fits, clearances } = judgedIn(planned)
  const causes = [...fits, ...clearances].flatMap(({ errs }) =>
    errs.flatMap(({ cause }) =>
      cause?.kind === 'larger' ? cause.ways.flat().map(way => way.cause) : [cause],
    ),
  )
  return [...new Set(causes.flatMap(cause => (cause?.kind === 'reading' ? [cause.key] : [])))]
}

function readingCandidates(cover: Cover, key: ReadingKey): readonly Candidate[] {
  const taken = cover.objects.flatMap(({ readings }) => readings[key] ?? [])
  const measured = (change: (reading: Reading) => Reading): Cover =>
    withObjects(cover, object => ({
      ...object,
      readings: { ...object.readings, [key]: (object.readings[key] ?? []).map(change) },
    }))
  const more = 2
  return [
    ...candidate(
      taken.some(({ about }) => about),
      {
        kind: { what: 'measure-exactly', reading: key },
        cover: measured(reading => ({ ...reading, about: false })),
      },
    ),
    ...candidate(
      taken.some(({ state }) => state === 'another-copy' || state === 'standard-size'),
      {
        kind: { what: 'measure-itself', reading: key },
        cover: measured(({ state: _state, ...reading }) => reading),
      },
    ),
    ...candidate(taken.length > 1, {
      kind: { what: 'measure-again', reading: key, times: more },
      options: { uncertainty: afterMore(key, more) },
    }),
  ]
}

/** As many readings more as before would show the same spread: their mean errs by s/√n. */
function afterMore(key: ReadingKey, more: number): Uncertainty {
  return (object, asked) => {
    const now = deriveUncertainty(object, asked)
    const count = object.readings[asked]?.length ?? 0
    const least = scale(object.tapeDivision, 1 / Math.sqrt(12))
    if (asked !== key || now === undefined || now <= least) return now
    return longest(least, scale(now, Math.sqrt(count / (count + more))))
  }
}

/** A wrap reckoned from the sides errs with twice the width; read off the tape it errs once. */
function wrapCandidate(cover: Cover, keys: readonly ReadingKey[]): readonly Candidate[] {
  const wraps = cover.family.traits.includes('book') && keys.includes('width') && !keys.includes('wrap')
  return candidate(wraps, {
    kind: { what: 'wrap-it' },
    cover: withObjects(cover, object => {
      const sides = deriveWrapFromSides(object)
      if (!sides) return object
      const wrap: Reading = { text: '', length: totalOf(sides), about: false }
      return { ...object, readings: { ...object.readings, wrap: [wrap] } }
    }),
  })
}

function tapeCandidate(cover: Cover, keys: readonly ReadingKey[]): readonly Candidate[] {
  const division = scale(cover.object.tapeDivision, 1 / 2)
  return candidate(keys.length > 0 && division >= inches(1 / 64), {
    kind: { what: 'finer-tape', division },
    cover: withObjects(cover, object => ({
      ...object,
      tapeDivision: scale(object.tapeDivision, 1 / 2),
    })),
  })
}

function handCandidates(cover: Cover, planned: Plan): readonly Candidate[] {
  const { fits, clearances } = judgedIn(planned)
  const makings = [...fits, ...clearances].map(({ making }) => making)
  const hand = (kind: RemedyKind, source: Source, change: Partial<Hand>): Candidate => ({
    kind,
    source,
    options: { hand: { ...handOf(cover), ...change } },
  })
  const { edgeMm, lineMm, stackShare } = careful
  return [
    ...(makings.some(({ cutEdges }) => cutEdges > 0)
      ? [hand({ what: 'cut-along-rule', edgeMm }, 'cutting', { edgeMm })]
      : []),
    hand({ what: 'sew-along-line', lineMm }, 'sewing', { lineMm }),
    hand({ what: 'measure-layers', share: stackShare }, 'stack', { stackShare }),
    ...(makings.some(({ takenUp }) => takenUp > 0)
      ? [hand({ what: 'leave-room-to-trim' }, 'take-up', { takeUpShare: 0 })]
      : []),
  ]
}

function candidate(possible: boolean, measuring: Omit<Candidate, 'source'>): readonly Candidate[] {
  return possible ? [{ ...measuring, source: 'measuring' }] : []
}

/** How much a remedy is worth naming for: half a percent. */
export function isWorthwhile({ before, after }: Remedy): boolean {
  return after - before >= 0.005
}
