import { findFamily, type CoverFile, type ReadingKey, type TypedObject } from '@snowdrift/core'

const bookReadings: readonly ReadingKey[] = [
  'height',
  'wrap',
  'width',
  'thickness',
  'openWidth',
  'boardThickness',
]
const deviceReadings: readonly ReadingKey[] = ['height', 'width', 'thickness', 'wrap', 'cornerRadius']
const journalReadings: readonly ReadingKey[] = ['pageHeight', 'pageWidth', 'contentsThickness']

/** The measurements that the way of making asks for, in the order in which they are taken. */
export function readingsFor({ family }: CoverFile, thing: TypedObject | undefined): readonly ReadingKey[] {
  const traits = findFamily(family)?.traits ?? []
  if (traits.includes('device')) return deviceReadings
  if (traits.includes('journal')) return journalReadings
  return thing?.spine === 'coil'
    ? bookReadings.flatMap(key => (key === 'thickness' ? [key, 'coilDiameter'] : [key]))
    : bookReadings
}
