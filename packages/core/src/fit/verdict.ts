import { mm, zero, type Length } from '../length/length.js'

export const verdicts = [
  'will-not-go',
  'tight-but-goes',
  'drum-tight',
  'snug',
  'easy',
  'roomy',
  'baggy',
] as const
export type Verdict = (typeof verdicts)[number]

export const verdictWords: Readonly<Record<Verdict, string>> = {
  'will-not-go': 'will not go on',
  'tight-but-goes': 'tight, but goes',
  'drum-tight': 'drum-tight',
  snug: 'snug',
  easy: 'easy',
  roomy: 'roomy',
  baggy: 'baggy',
}

/** Where one verdict ends and the next begins; each lower bound belongs to its band, and the top to `roomy`. */
export interface EaseBands {
  readonly snug: Length
  readonly easy: Length
  readonly roomy: Length
  readonly top: Length
}

/** Slip-on covers and cases zipped all round. Source of all bands: docs/craft.md, Ease and verdict. */
export const slipOnBands: EaseBands = { snug: mm(2), easy: mm(8), roomy: mm(16), top: mm(28) }
export const pouchBands: EaseBands = { snug: mm(2), easy: mm(12), roomy: mm(22), top: mm(38) }
export const openTopBands: EaseBands = { snug: mm(2), easy: mm(15), roomy: mm(30), top: mm(60) }

/** The verdict on an ease, where the cloth gives as much as `give` (zero or more) when it is pulled. */
export function judgeEase(ease: Length, bands: EaseBands, give: Length): Verdict {
  if (ease < zero) return ease + give >= 0 ? 'tight-but-goes' : 'will-not-go'
  if (ease < bands.snug) return 'drum-tight'
  if (ease < bands.easy) return 'snug'
  if (ease < bands.roomy) return 'easy'
  return ease <= bands.top ? 'roomy' : 'baggy'
}
