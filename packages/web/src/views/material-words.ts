import type { TypedMaterial } from '@snowdrift/core'

export const printWords: Readonly<Record<NonNullable<TypedMaterial['print']>, string>> = {
  none: 'none',
  'one-way': 'has a top',
  'two-way': 'either way up',
}
