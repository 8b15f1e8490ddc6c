import type { z } from 'zod'
import type { materialShape } from './layer-schema.js'

type MaterialInput = {
  [Key in keyof ReturnType<typeof materialShape>]?: z.input<ReturnType<typeof materialShape>[Key]>
}
export type TypedMaterial = MaterialInput & Required<Pick<MaterialInput, 'role' | 'name' | 'thickness'>>

/** What materials typically measure, to start from; a maker's own readings replace them. Source: docs/craft.md, Materials. */
export const typicalMaterials: readonly TypedMaterial[] = [
  outer('Lawn', 0.18, { stretchAlong: 1, stretchAcross: 3, seeThrough: 0.5 }),
  outer('Quilting cotton', 0.28, {
    stretchAlong: 1,
    stretchAcross: 2.5,
    shrinkage: 3,
    seeThrough: 0.2,
    frays: 'some',
  }),
  outer('Linen', 0.45, { stretchAlong: 1, stretchAcross: 2, shrinkage: 5, frays: 'much' }),
  outer('Home-decor cotton', 0.5, { stretchAlong: 0.5, stretchAcross: 2, frays: 'some' }),
  outer('Canvas', 0.75, { stretchAlong: 0.5, stretchAcross: 1.5, stiffness: 'stiff', frays: 'much' }),
  outer('Denim', 0.9, { stretchAlong: 0.5, stretchAcross: 1.5, shrinkage: 3 }),
  outer('Wool felt', 1.2, { squash: 0.2, stretchAlong: 4, stretchAcross: 6 }),
  outer('Leather-look vinyl', 1, { squash: 0.05, stretchAlong: 2, stretchAcross: 4 }),
  inner('lining', 'Cotton lining', 0.28, { stretchAlong: 1, stretchAcross: 2.5, shrinkage: 3 }),
  inner('interfacing', 'Light fusible interfacing', 0.15),
  inner('interfacing', 'Woven fusible interfacing', 0.25),
  inner('interfacing', 'Stiff fusible interfacing', 0.7, { stiffness: 'stiff' }),
  inner('padding', 'Fusible fleece', 3, { squash: 0.4, stretchAlong: 1, stretchAcross: 1 }),
  inner('padding', 'Cotton batting', 2.3, {
    squash: 0.35,
    stretchAlong: 2,
    stretchAcross: 2,
    takeUp: 3,
    shrinkage: 4,
  }),
  inner('padding', 'Lofty batting', 5, { squash: 0.6, stretchAlong: 3, stretchAcross: 3, takeUp: 4 }),
  inner('padding', 'High-loft batting', 8, { squash: 0.6, stretchAlong: 3, stretchAcross: 3, takeUp: 5 }),
  inner('padding', 'Foam stabiliser', 5, { squash: 0.3 }),
  inner('underlining', 'White lawn', 0.18, { stretchAlong: 1, stretchAcross: 3 }),
  inner('underlining', 'Plain cotton', 0.28, { stretchAlong: 1, stretchAcross: 2.5, shrinkage: 3 }),
  inner('clear', 'Clear vinyl', 0.2, { stretchAlong: 1, stretchAcross: 1, seeThrough: 1 }),
  inner('card', 'Cardstock', 0.3),
  inner('card', 'Folder card', 0.28),
  inner('board', 'Chipboard', 1),
  inner('board', 'Book board', 2.4),
]

function outer(name: string, millimetres: number, traits: MaterialInput): TypedMaterial {
  return inner('outer', name, millimetres, traits)
}

function inner(
  role: TypedMaterial['role'],
  name: string,
  millimetres: number,
  traits: MaterialInput = {},
): TypedMaterial {
  return { role, name, thickness: `${millimetres} mm`, ...traits }
}
