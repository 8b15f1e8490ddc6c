/** What comes of a press of the tape’s button. */
export type Settled =
  | { readonly kind: 'read'; readonly mm: number }
  /** It moved while it was read, by so much. */
  | { readonly kind: 'moved'; readonly spreadMm: number }
  | { readonly kind: 'nothing' }

/** A hand that is still holds a tape within that. */
const stillMm = 1
/** Longer than any tape on a sewing table. */
const longestMm = 3000

/** The middle of the samples; none where they are too far apart to be one reading, or are no lengths. */
export function settleSamples(samplesMm: readonly number[]): Settled {
  const sorted = samplesMm
    .filter(mm => Number.isFinite(mm) && mm > 0 && mm <= longestMm)
    .toSorted((a, b) => a - b)
  const [least] = sorted
  const most = sorted.at(-1)
  if (least === undefined || most === undefined || sorted.length < samplesMm.length)
    return { kind: 'nothing' }
  if (most - least > stillMm) return { kind: 'moved', spreadMm: most - least }
  const middle = (sorted.length - 1) / 2
  return { kind: 'read', mm: ((sorted[Math.floor(middle)] ?? 0) + (sorted[Math.ceil(middle)] ?? 0)) / 2 }
}
