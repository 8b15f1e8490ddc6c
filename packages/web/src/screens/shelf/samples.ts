import type { CoverFile, MaterialBody } from '@snowdrift/core'

/** Something to open and play with: a cover, and the cloths that it is made of. */
export interface Sample {
  readonly file: CoverFile
  readonly materials: readonly MaterialBody[]
}

const head = { format: 'snowdrift/cover', version: 2, unit: 'in' } as const

const fog = cloth('lining', 'Fog cotton', '#d5dde3', { weave: 'plain' })
const check = cloth('outer', 'Spruce check', '#3f6f5f', { weave: 'checks', repeat: '1/2' })
const stars = cloth('outer', 'Night-sky stars', '#2f3d5c', { weave: 'stars', repeat: '1' })
const dots = cloth('outer', 'Larch dots', '#b9823f', { weave: 'dots', repeat: '1/2' })
const fleece = { role: 'padding', name: 'Fusible fleece', thickness: '3 mm', squash: 0.4 } as const

/** A ledger, an e-reader and a planner on its coil: three ways of making that have little in common. */
export const samples: readonly Sample[] = [
  {
    file: {
      ...head,
      family: 'slip-cover',
      name: 'Hut ledger, to play with',
      object: {
        kind: 'hardcover',
        readings: { height: ['9 3/8'], width: ['6 5/8'], thickness: ['1 3/16'], boardThickness: ['1/8'] },
      },
      layers: [fog.material, { ...fleece, inset: '1/2' }, check.material],
      extras: [{ type: 'tie-pair' }],
    },
    materials: [check, fog],
  },
  {
    file: {
      ...head,
      family: 'sleeve',
      name: 'Night-train reader, to play with',
      object: { kind: 'tablet', readings: { height: ['6 5/8'], width: ['4 7/8'], thickness: ['3/8'] } },
      layers: [fog.material, { ...fleece }, stars.material],
      extras: [{ type: 'loop-button' }],
    },
    materials: [stars, fog],
  },
  {
    file: {
      ...head,
      family: 'zip-around',
      name: 'Rota planner, to play with',
      object: {
        kind: 'planner',
        spine: 'coil',
        readings: {
          height: ['8 5/8'],
          width: ['7 1/4'],
          thickness: ['7/8'],
          coilDiameter: ['1 1/8'],
          boardThickness: ['1/16'],
        },
      },
      layers: [fog.material, { ...fleece }, dots.material],
    },
    materials: [dots, fog],
  },
]

function cloth(
  role: 'outer' | 'lining',
  name: string,
  swatch: string,
  stock: MaterialBody['stock'],
): MaterialBody & { readonly material: CoverFile['layers'][number] } {
  const material = { role, name, thickness: '0.28 mm', stretchAlong: 1, stretchAcross: 2.5, washed: true }
  return { unit: 'in', swatch, stock, material }
}
