import type { Length } from '../length/length.js'

/** What a rule adds its amount to. */
export const ruleMeasures = ['open', 'wrap', 'device'] as const
export type RuleMeasure = (typeof ruleMeasures)[number]

/** Finished = needed + ease: another seam changes the cut, not the fit. An ease left out is the family's own. */
export interface ComputedSizing {
  readonly mode: 'computed'
  readonly easeWidth?: Length
  readonly easeHeight?: Length
}

/** Cut = measurement + a fixed amount: the fit follows. */
export interface RuleSizing {
  readonly mode: 'rule'
  readonly measure: RuleMeasure
  readonly addWidth: Length
  readonly addHeight: Length
}

/** A named rule with its own seam and options. */
export interface RecipeSizing {
  readonly mode: 'recipe'
  readonly recipe: string
}

export type Sizing = ComputedSizing | RuleSizing | RecipeSizing
