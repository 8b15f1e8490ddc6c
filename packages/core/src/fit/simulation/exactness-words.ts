import type { Unit } from '../../length/unit.js'

interface Step {
  readonly mm: number
  readonly words: string
}

/** What hands know, the finest first. */
const inInches: readonly Step[] = [
  { mm: 25.4 / 32, words: 'a thirty-second' },
  { mm: 25.4 / 16, words: 'a sixteenth' },
  { mm: 25.4 / 8, words: 'an eighth' },
  { mm: 25.4 / 4, words: 'a quarter' },
  { mm: 25.4 / 2, words: 'half an inch' },
  { mm: 25.4, words: 'an inch' },
]
const inMillimetres: readonly Step[] = [
  { mm: 0.5, words: 'half a millimetre' },
  { mm: 1, words: 'a millimetre' },
  { mm: 2, words: 'two millimetres' },
  { mm: 3, words: 'three millimetres' },
  { mm: 5, words: 'five millimetres' },
  { mm: 10, words: 'a centimetre' },
  { mm: 25, words: 'two and a half centimetres' },
]

/** From here on care is wasted: nobody is off by as much who looks. */
const carelessMm = 10

/** How much error is fine, in a maker’s words; one that is never too much does not matter. */
export function sayExactness(toleratedMm: number | undefined, unit: Unit): string {
  if (toleratedMm === undefined) return 'does not matter'
  const steps = unit === 'in' ? inInches : inMillimetres
  const known = steps.findLast(({ mm }) => mm <= toleratedMm)
  if (!known) return 'not a hair'
  return toleratedMm >= carelessMm ? `${known.words} is fine` : known.words
}

/** Whether more care than a glance would be wasted on it. */
export function isCareWasted(toleratedMm: number | undefined): boolean {
  return toleratedMm === undefined || toleratedMm >= carelessMm
}
