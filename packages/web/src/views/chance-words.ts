import {
  mm,
  readingWords,
  type DirectionOdds,
  type RemedyKind,
  type SayLength,
  type Simulation,
  type Source,
} from '@snowdrift/core'
import { capital } from './capital'

/** A share as makers count: 93 of 100. Never “100” or “0” where it is not all or none. */
export function countOfHundred(share: number): string {
  if (share > 0.995 && share < 1)
    return share > 0.9995 ? 'over 999 of 1,000' : `${Math.floor(share * 1000)} of 1,000`
  if (share > 0 && share < 0.01)
    return share < 0.001 ? 'under 1 of 1,000' : `${Math.round(share * 1000)} of 1,000`
  return `${Math.round(share * 100)} of 100`
}

/** A share as a percentage, as exact as is worth saying: 78 %, 99.6 %. */
export function percent(share: number): string {
  const tenths = share > 0.985 || share < 0.015
  const rounded = tenths ? Math.round(share * 1000) / 10 : Math.round(share * 100)
  if (rounded === 100 && share < 1) return 'over 99.9 %'
  if (rounded === 0 && share > 0) return 'under 0.1 %'
  return `${rounded} %`
}

/** The chance in one plain sentence. */
export function sayChance({ chance, makes }: Pick<Simulation, 'chance' | 'makes'>): string {
  if (chance === 1)
    return `Every one of ${makes.toLocaleString('en')} makes like this goes on the first time.`
  if (chance === 0) return `None of ${makes.toLocaleString('en')} makes like this goes on.`
  return `${capital(countOfHundred(chance))} makes like this go on the first time.`
}

/** What goes wrong with the others, the commonest first; empty where nothing does. */
export function sayFailures({ directions }: Simulation): readonly string[] {
  return directions
    .flatMap(odds => [
      { share: odds.verdicts['will-not-go'] ?? 0, words: tooSmall(odds) },
      { share: odds.verdicts.baggy ?? 0, words: `hang slack ${where(odds)}` },
    ])
    .filter(({ share }) => share >= 0.0005)
    .toSorted((one, other) => other.share - one.share)
    .map(({ share, words }) => `${countOfHundred(share)} ${words}`)
}

function tooSmall({ direction }: DirectionOdds): string {
  return direction === 'width' ? 'are too tight round it' : 'are too short'
}

function where({ direction }: DirectionOdds): string {
  return direction === 'width' ? 'round it' : 'in height'
}

export const sourceWords: Readonly<Record<Source, string>> = {
  measuring: 'Measuring',
  cutting: 'Cutting',
  sewing: 'Sewing or gluing',
  stack: 'Thickness of the layers',
  'take-up': 'Take-up of the quilting',
}

/** What to do, in one sentence. */
export function sayRemedy(kind: RemedyKind, say: SayLength): string {
  switch (kind.what) {
    case 'measure-exactly':
      return `Measure the ${nameOf(kind.reading)} exactly: it is only known about.`
    case 'measure-itself':
      return `Measure the ${nameOf(kind.reading)} on the thing itself, not on another copy.`
    case 'measure-again':
      return `Measure the ${nameOf(kind.reading)} twice more.`
    case 'wrap-it':
      return 'Wrap the tape round the closed book, instead of reckoning from its width and thickness.'
    case 'finer-tape':
      return `Read a rule that is marked in ${say(kind.division)}.`
    case 'cut-along-rule':
      return `Cut along a metal rule with a rotary cutter: each edge to ${say(mm(kind.edgeMm))}.`
    case 'sew-along-line':
      return `Sew along a drawn line: each seam to ${say(mm(kind.lineMm))}.`
    case 'measure-layers':
      return `Press the pile of layers lightly and measure it, to ${Math.round(kind.share * 100)} %.`
    case 'leave-room-to-trim':
      return 'Quilt larger and trim afterwards.'
  }
}

function nameOf(reading: keyof typeof readingWords): string {
  return readingWords[reading].name.toLowerCase()
}
