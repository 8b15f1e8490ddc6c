import type { Repair } from '../finding/repair.js'
import { formatLength } from '../length/format.js'
import { toMm, type Length } from '../length/length.js'
import { parseLength } from '../length/parse.js'
import type { Unit } from '../length/unit.js'
import type { CoverFile } from './cover-schema.js'
import { changeThing } from './things.js'

/** The cover with a finding's repair made. Repairs that ask for the tape change nothing here. */
export function applyRepair(file: CoverFile, repair: Repair): CoverFile {
  switch (repair.kind) {
    case 'set-option': {
      const typed = spell(repair.length, file.unit ?? 'in')
      return { ...file, options: { ...file.options, [repair.option]: typed } }
    }
    case 'choose-option':
      return { ...file, options: { ...file.options, [repair.option]: repair.choice } }
    case 'accept-mended': {
      const { upgradedFrom: _before, ...rest } = file
      return rest
    }
    case 'swap-readings':
      return changeThing(file, 0, thing => {
        const { [repair.first]: first, [repair.second]: second, ...others } = thing.readings ?? {}
        return {
          ...thing,
          readings: {
            ...others,
            ...(second && { [repair.first]: second }),
            ...(first && { [repair.second]: first }),
          },
        }
      })
    case 'measure':
      return file
  }
}

/** To the last tick: what mends by a hair must not be rounded off again. A millimetre on a metric grid has no sixty-fourths. */
function spell(length: Length, unit: Unit): string {
  const typed = formatLength(length, unit)
  const read = parseLength(typed, unit)
  return read.ok && read.length === length ? typed : `${toMm(length)} mm`
}
