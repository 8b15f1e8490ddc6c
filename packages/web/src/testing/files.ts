import type { CoverBody, CoverFile, CoverRow } from '@snowdrift/core'
import { refOf } from '../drafts/kinds.js'

/** A cover that can be planned, in inches; what a test is about goes into `changes`. */
export function coverFile(changes: Partial<CoverFile> = {}): CoverFile {
  return {
    format: 'snowdrift/cover',
    version: 2,
    name: 'Weather diary',
    unit: 'in',
    object: {
      kind: 'hardcover',
      readings: { height: ['9 3/8'], width: ['6 5/8'], thickness: ['1 3/16'], boardThickness: ['1/8'] },
    },
    family: 'slip-cover',
    sizing: { mode: 'computed' },
    options: {},
    layers: [
      { role: 'lining', name: 'Cotton lining', thickness: '0.28 mm' },
      { role: 'outer', name: 'Home-decor cotton', thickness: '0.5 mm' },
    ],
    ...changes,
  }
}

export const coverId = '5f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f'
export const coverRef = refOf('cover', coverId)

export function coverBody(changes: Partial<CoverFile> = {}): CoverBody {
  return { thingId: null, file: coverFile(changes) }
}

/** A row as the server answers it, and as a draft is opened from it. */
export function coverRow(
  version: number,
  changes: Partial<CoverFile> = {},
): CoverRow & { readonly body: CoverBody } {
  const body = coverBody(changes)
  return { id: coverId, version, updatedAt: '2030-01-01T00:00:00.000Z', ...body, body }
}
