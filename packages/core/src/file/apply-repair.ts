import type { Repair } from '../finding/repair.js'
import { formatLength } from '../length/format.js'
import type { CoverFile } from './cover-schema.js'
import { changeThing } from './things.js'

/** The cover with a finding's repair made. Repairs that ask for the tape change nothing here. */
export function applyRepair(file: CoverFile, repair: Repair): CoverFile {
  switch (repair.kind) {
    case 'set-option': {
      const typed = formatLength(repair.length, file.unit ?? 'in')
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
