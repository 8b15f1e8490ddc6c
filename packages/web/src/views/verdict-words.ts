import { severityIn, verdictWords, type Fit, type Plan, type Verdict } from '@snowdrift/core'

export { verdictWords }

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
export function worstVerdict(fits: readonly Pick<Fit, 'verdict'>[]): Verdict | undefined {
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

export interface Headline {
  readonly words: string
  readonly tone: string
}

/**
 * What is to be said of a cover first: of a series whom it serves, where it does not serve all; else the worse of its
 * directions; where a fit has no meaning, whether it can be made.
 */
export function headlineOf({ fits, serves = [], findings }: Plan): Headline {
  const served = serves.filter(({ reason }) => reason === undefined).length
  const verdict = worstVerdict(fits)
  if (verdict === 'will-not-go') return { words: verdictWords[verdict], tone: verdictTone[verdict] }
  if (served < serves.length)
    return { words: sayServed(served, serves.length), tone: served === 0 ? 'text-bad' : 'text-caution' }
  if (verdict) return { words: verdictWords[verdict], tone: verdictTone[verdict] }
  const cannot = findings.some(finding => severityIn(finding) === 'error')
  return cannot
    ? { words: 'cannot be made like this', tone: 'text-bad' }
    : { words: 'made to measure', tone: 'text-good' }
}

function sayServed(served: number, books: number): string {
  if (books === 1) return 'does not serve its book'
  return served === 0 ? `serves none of ${books} books` : `serves ${served} of ${books} books`
}
