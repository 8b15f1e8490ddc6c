import { findingWhen, type Direction, type Finding } from '../finding/finding.js'
import { add, negate, scale, subtract, type Length } from '../length/length.js'
import { backingsOf, layerOf, outerOf, type Layer, type Stack } from '../material/layer.js'
import { totalOf, type Reason } from '../piece/reason.js'
import { sewnAtBothEdges, type Making } from './making.js'
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
  /** How far the cloth of one part stretches. */
  readonly give: Length
  /** The parts of the need whose errors reach the ease. */
  readonly errs: readonly Reason[]
  readonly making: Making
  /** Which of the things that the cover is for, counted from 0. */
  readonly thing: number
}

/** The two sizes that are compared, and how each comes about. */
export interface Sizes {
  readonly needed: readonly Reason[]
  readonly finished: Length
  readonly making?: Making
  /** What of the need errs, where it is not all of it. */
  readonly errs?: readonly Reason[]
}

/** Seam line to seam line, lying flat, from what is cut: cut − 2·seam − 2r. Source: docs/craft.md, Fit. */
export function finishedFromCut(cut: Length, seam: Length, turnedEdge: Length): Length {
  return subtract(cut, scale(add(seam, turnedEdge), 2))
}

export function judgeFit(
  direction: Direction,
  { needed, finished, making = sewnAtBothEdges, errs = needed }: Sizes,
  stack: Stack,
  bands: EaseBands,
  { parts = 1, thing = 0 }: { readonly parts?: number; readonly thing?: number } = {},
): Fit {
  const total = totalOf(needed)
  const ease = scale(subtract(finished, total), 1 / parts)
  const give = scale(giveOf(stack, direction, finished), 1 / parts)
  const verdict = judgeEase(ease, bands, give)
  return { direction, needed: total, finished, ease, verdict, bands, parts, give, errs, making, thing }
}

/** The same fit where the thing needs, or the cover finishes at, something else; the cloth gives the same share of it. */
export function refit(
  fit: Fit,
  { needed = fit.needed, finished = fit.finished }: { readonly needed?: Length; readonly finished?: Length },
): Fit {
  const ease = scale(subtract(finished, needed), 1 / fit.parts)
  const give = finished === fit.finished ? fit.give : scale(fit.give, finished / fit.finished)
  return { ...fit, needed, finished, ease, give, verdict: judgeEase(ease, fit.bands, give) }
}

/** What a verdict has to say; snug, easy and roomy say nothing. */
export function checkFit({ direction, ease, verdict, bands, give }: Fit): readonly Finding[] {
  const about = `fit:${direction}` as const
  const tight = { direction, short: negate(ease), stretch: give }
  return [
    ...findingWhen(verdict === 'will-not-go', 'will-not-go', about, tight),
    ...findingWhen(verdict === 'tight-but-goes', 'tight-but-goes', about, tight),
    ...findingWhen(verdict === 'drum-tight', 'drum-tight', about, { direction, ease }),
    ...findingWhen(verdict === 'baggy', 'baggy', about, { direction, ease, most: bands.top }),
  ]
}

/**
 * How far the cloth stretches: the outer's or the lining's share of the finished size, whichever is less; without a
 * lining the outer's alone. Along a piece is its height, across its width. What is fused, quilted or backed by
 * something fused gives nothing.
 */
function giveOf(stack: Stack, direction: Direction, finished: Length): Length {
  const stretch = (ply: Layer) => {
    const holds = ply.fused || ply.quilted || backingsOf(stack, ply.role).some(({ fused }) => fused)
    if (holds) return 0
    return direction === 'width' ? ply.stretchAcross : ply.stretchAlong
  }
  const lining = layerOf(stack, 'lining')
  const percent = Math.min(stretch(outerOf(stack)), lining ? stretch(lining) : Infinity)
  return scale(finished, percent / 100)
}
