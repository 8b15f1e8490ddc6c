import type { Dimension, Panel } from '@snowdrift/core'
import { capital } from '../../../views/capital'

/** What a dimension of the flat cover is called. */
export function nameSize(dimension: Dimension, panels: readonly Pick<Panel, 'id' | 'name'>[]): string {
  switch (dimension) {
    case 'width':
      return 'Finished width'
    case 'height':
      return 'Finished height'
    default:
      return capital(panels.find(({ id }) => dimension === `panel:${id}`)?.name ?? 'panel')
  }
}
