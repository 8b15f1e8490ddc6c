import { formatLength } from './format.js'
import type { Length } from './length.js'
import { mm } from './length.js'
import { parseLength } from './parse.js'
import { customary, type Unit } from './unit.js'

/**
 * Words with amounts of the craft in braces, as a workshop of that unit says them: of “{2 in} unless set” makes
 * “2 in unless set” or “50 mm unless set”, of “{8 to 8 ½ in}” both ends. Amounts in inches have their metric twins.
 */
export function sayAmounts(words: string, unit: Unit, style: 'plain' | 'proper' = 'proper'): string {
  return words.replace(/\{([^{}]+)\}/g, (_, amount: string) => sayAmount(amount, unit, style))
}

function sayAmount(amount: string, unit: Unit, style: 'plain' | 'proper'): string {
  const [, numbers = '', written] = /^(.+) (in|mm)$/.exec(amount) ?? []
  const ends = numbers.split(' to ').map(number => lengthOf(number, written === 'mm' ? 'mm' : 'in', unit))
  return ends
    .map((end, index) => formatLength(end, unit, { style, finest: 16, bare: index < ends.length - 1 }))
    .join(' to ')
}

/** An amount that is written wrong here is a bug. */
function lengthOf(number: string, written: 'in' | 'mm', unit: Unit): Length {
  const read = parseLength(number, 'mm')
  if (!read.ok) throw new Error(`“${number}” is no amount`)
  const count = read.length / mm(1)
  return written === 'in' ? customary(count, unit) : read.length
}
