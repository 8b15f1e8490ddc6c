import type { Cover } from '../../file/cover.js'
import { readCover } from '../../file/read-cover.js'

/** A notebook of 8 × 6 × ½ in in a slip-on cover of Larch lined with Fog, and what else is said of it. */
export function notebookCover(changes: object = {}): Cover {
  const read = readCover({
    format: 'snowdrift/cover',
    version: 2,
    object: {
      kind: 'notebook',
      readings: { height: ['8'], width: ['6'], thickness: ['1/2'], boardThickness: ['0.04'] },
    },
    family: 'slip-cover',
    layers: [
      { role: 'lining', name: 'Fog', thickness: '0.28 mm' },
      { role: 'outer', name: 'Larch', thickness: '0.28 mm' },
    ],
    ...changes,
  })
  if (!read.ok) throw new Error(read.issues[0]?.message)
  return read.value
}
