import type { Fit, Verdict } from '@snowdrift/core'

export const verdictWords: Readonly<Record<Verdict, string>> = {
  'will-not-go': 'will not go on',
  'tight-but-goes': 'tight, but goes',
  'drum-tight': 'drum-tight',
  snug: 'snug',
  easy: 'easy',
  roomy: 'roomy',
  baggy: 'baggy',
}

const worstFirst: readonly Verdict[] = [
  'will-not-go',
  'tight-but-goes',
  'baggy',
  'drum-tight',
  'roomy',
  'easy',
  'snug',
]

/** The verdict that speaks for the whole cover: the worse of its directions. Undefined without a fit. */
export function worstVerdict(fits: readonly Fit[]): Verdict | undefined {
  return worstFirst.find(verdict => fits.some(fit => fit.verdict === verdict))
}

export const verdictTone: Readonly<Record<Verdict, string>> = {
  'will-not-go': 'text-bad',
  'tight-but-goes': 'text-caution',
  'drum-tight': 'text-caution',
  snug: 'text-good',
  easy: 'text-good',
  roomy: 'text-ink',
  baggy: 'text-caution',
}
