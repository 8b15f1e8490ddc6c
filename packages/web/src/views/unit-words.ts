import type { Unit } from '@snowdrift/core'

export const unitWords: Readonly<Record<Unit, string>> = {
  in: 'inches',
  cm: 'centimetres',
  mm: 'millimetres',
}
