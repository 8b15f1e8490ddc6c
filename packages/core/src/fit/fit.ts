import { findingWhen, type Direction, type Finding } from '../finding/finding.js'
import { negate, scale, subtract, type Length } from '../length/length.js'
import { layerOf, outerOf, type Layer, type Stack } from '../material/layer.js'
import { judgeEase, type EaseBands, type Verdict } from './verdict.js'

/** How one direction of a cover fits: what is needed, what there is, and the verdict on the difference. */
export interface Fit {
  readonly direction: Direction
  readonly needed: Length
  readonly finished: Length
  /** Of one part, where the ease is shared out. */
  readonly ease: Length
  readonly verdict: Verdict
  /** What the ease is judged by. */
  readonly bands: EaseBands
  /** Like parts that share ease and give: the two halves of a case that folds over; else 1. */
  readonly parts: number
}

/** Seam line to seam line, lying flat, from what is cut: cut − 2·seam − 2r. Source: docs/craft.md, Fit. */
export function finishedFromCut(cut: Length, seam: Length, turnedEdge: Length): Length {
  return subtract(cut, scale((seam + turnedEdge) as Length, 2))
}

export function judgeFit(
  direction: Direction,
  { needed, finished }: { readonly needed: Length; readonly finished: Length },
  stack: Stack,
  bands: EaseBands,
  { parts = 1 }: { readonly parts?: number } = {},
): Fit {
  const ease = scale(subtract(finished, needed), 1 / parts)
  const verdict = judgeEase(ease, bands, scale(giveOf(stack, direction, finished), 1 / parts))
  return { direction, needed, finished, ease, verdict, bands, parts }
}

/** What a verdict has to say; snug, easy and roomy say nothing. */
export function checkFit(fit: Fit, stack: Stack): readonly Finding[] {
  const { direction, ease, verdict, bands, parts } = fit
  const about = `fit:${direction}` as const
  const stretch = scale(giveOf(stack, direction, fit.finished), 1 / parts)
  const tight = { direction, short: negate(ease), stretch }
  return [
    ...findingWhen(verdict === 'will-not-go', 'will-not-go', about, tight),
    ...findingWhen(verdict === 'tight-but-goes', 'tight-but-goes', about, tight),
    ...findingWhen(verdict === 'drum-tight', 'drum-tight', about, { direction, ease }),
    ...findingWhen(verdict === 'baggy', 'baggy', about, { direction, ease, most: bands.top }),
  ]
}

/**
 * How far the cloth stretches: the outer's or the lining's share of the finished size, whichever is less; without a
 * lining the outer's alone. Along a piece is its height, across its width.
 */
function giveOf(stack: Stack, direction: Direction, finished: Length): Length {
  const stretch = ({ stretchAcross, stretchAlong }: Layer) =>
    direction === 'width' ? stretchAcross : stretchAlong
  const lining = layerOf(stack, 'lining')
  const percent = Math.min(stretch(outerOf(stack)), lining ? stretch(lining) : Infinity)
  return scale(finished, percent / 100)
}
