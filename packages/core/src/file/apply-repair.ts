import type { Repair } from '../finding/repair.js'
import { formatLength } from '../length/format.js'
import type { CoverFile } from './cover-schema.js'

/** The cover with a finding's repair made. Repairs that ask for the tape change nothing here. */
export function applyRepair(file: CoverFile, repair: Repair): CoverFile {
  switch (repair.kind) {
    case 'set-option': {
      const typed = formatLength(repair.length, file.unit ?? 'in')
      return { ...file, options: { ...file.options, [repair.option]: typed } }
    }
    case 'swap-readings': {
      if (!file.object) return file
      const { [repair.first]: first, [repair.second]: second, ...others } = file.object.readings ?? {}
      const readings = {
        ...others,
        ...(second && { [repair.first]: second }),
        ...(first && { [repair.second]: first }),
      }
      return { ...file, object: { ...file.object, readings } }
    }
    case 'measure':
      return file
  }
}
