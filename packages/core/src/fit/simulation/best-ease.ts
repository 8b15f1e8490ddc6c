/** Targets are tried from nothing in steps of so much. Source: docs/craft.md, Chance of fitting. */
export const easeStepMm = 0.5

/** The chance that is good enough. */
const wanted = 0.99

/** Eases of many makes, of which some count, as they came out at the planned ease. */
export interface Eases {
  readonly valuesMm: Float64Array
  readonly plannedMm: number
  /** 1 for each make that counts, 0 for the others. */
  readonly kept: Uint8Array
}

/**
 * The share of all makes that would count, go on and not be baggy, by target ease: from 0 to the top in steps of
 * `easeStepMm`. Every target is tried on the same errors, so that the answers do not jitter.
 */
export function chanceByEase(
  { valuesMm, plannedMm, kept }: Eases,
  { giveMm, topMm }: { readonly giveMm: number; readonly topMm: number },
): readonly number[] {
  const makes = valuesMm.length
  if (makes === 0) return []
  const steps = Math.floor(topMm / easeStepMm) + 1
  const tooTight = new Uint32Array(steps)
  const goesIn = new Uint32Array(steps)
  for (let index = 0; index < makes; index += 1) {
    if (kept[index] === 0) continue
    const error = (valuesMm[index] ?? 0) - plannedMm
    countAt(tooTight, Math.ceil((-giveMm - error) / easeStepMm) - 1)
    countAt(goesIn, Math.floor((topMm - error) / easeStepMm))
  }
  sumFromEnd(tooTight)
  sumFromEnd(goesIn)
  return Array.from(goesIn, (count, step) => (count - (tooTight[step] ?? 0)) / makes)
}

/**
 * The smallest target whose chance reaches 99 %, or the one of greatest chance where none does; millimetres. Of no
 * chances, 0.
 */
export function findBestEase(chances: readonly number[]): number {
  const good = chances.findIndex(chance => chance >= wanted)
  return Math.max(0, good >= 0 ? good : chances.indexOf(Math.max(...chances))) * easeStepMm
}

/** Shares that differ by less are as good as each other. */
const asGood = 0.001

/**
 * Of shares by target ease, the middle of the targets that are as good as the best; millimetres. Where the shares are of
 * makes that come out snug or easy, that is the most comfortable ease. Of no shares, 0.
 */
export function findMiddleEase(shares: readonly number[]): number {
  const best = Math.max(...shares)
  const good = shares.flatMap((share, step) => (share >= best - asGood ? [step] : []))
  return (good[Math.floor((good.length - 1) / 2)] ?? 0) * easeStepMm
}

/** Counts an error by the last step at which it still holds: the last of all, or none. */
function countAt(counts: Uint32Array, last: number): void {
  const step = Math.min(last, counts.length - 1)
  if (step >= 0) counts[step] = (counts[step] ?? 0) + 1
}

/** What holds at a step holds at all before it. */
function sumFromEnd(counts: Uint32Array): void {
  for (let step = counts.length - 2; step >= 0; step -= 1)
    counts[step] = (counts[step] ?? 0) + (counts[step + 1] ?? 0)
}
