import type { Fill } from '@snowdrift/core'
import type { ClothLooks } from '../../../views/cloth/cloth-looks'
import { lookOf } from '../../../views/cloth/look'
import type { GroupJob } from './group-job'

/** On a sheet the cloth lies from edge to edge, and pieces on it. */
export function sheetLooks({ source: { material } }: GroupJob): ClothLooks {
  const look = material && lookOf(material)
  return (piece: string | undefined, fill: Fill) =>
    piece === undefined && fill === 'inside' ? look : undefined
}
