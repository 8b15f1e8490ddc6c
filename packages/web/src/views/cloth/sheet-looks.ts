import type { MaterialRow } from '@snowdrift/core'
import type { ClothLooks } from './cloth-looks'
import { lookOf } from './look'

/** On a sheet the cloth lies from edge to edge, and pieces on it. */
export function sheetLooks(material: MaterialRow | undefined): ClothLooks {
  const look = material && lookOf(material)
  return (piece, fill) => (piece === undefined && fill === 'inside' ? look : undefined)
}
