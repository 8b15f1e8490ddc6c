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

/** The outer is that size already: a panel used whole, or cut before anybody reckoned. The fit follows. */
export interface CutSizing {
  readonly mode: 'cut'
  readonly width: Length
  readonly height: Length
}

/** A named rule with its own seam and options: one of the family’s, by its id, or a maker’s own, which travels whole. */
export interface RecipeSizing {
  readonly mode: 'recipe'
  readonly recipe: string | OwnRecipe
}

/** A maker’s own rule, kept under a name. Options are as the family’s schema made them. */
export interface OwnRecipe {
  readonly name: string
  readonly measure: RuleMeasure
  readonly addWidth: Length
  readonly addHeight: Length
  readonly seam?: Length
  readonly options: Readonly<Record<string, unknown>>
}

/** How a size is found once a recipe is resolved into its rule. */
export type SettledSizing = ComputedSizing | RuleSizing | CutSizing

export type Sizing = SettledSizing | RecipeSizing
