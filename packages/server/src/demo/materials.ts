import type { MaterialBody } from '@snowdrift/core'

/** Eleven materials of a made-up workshop, as its owner measured them. */
export const demoMaterials: readonly MaterialBody[] = [
  cloth('Spruce-green cotton', '#3f6f5f', {
    thickness: '0.28 mm',
    shrinkage: 3,
    seeThrough: 0.2,
    frays: 'some',
  }),
  cloth('Larch-needle print', '#b98a4a', {
    thickness: '0.28 mm',
    shrinkage: 3,
    print: 'one-way',
    frays: 'some',
  }),
  cloth('Night-sky canvas', '#2f3d5c', {
    thickness: '0.75 mm',
    stretchAlong: 0.5,
    stretchAcross: 1.5,
    stiffness: 'stiff',
    frays: 'much',
  }),
  cloth('Oatmeal linen', '#cdbfa6', { thickness: '0.45 mm', stretchAcross: 2, shrinkage: 5, frays: 'much' }),
  cloth('Rope-grey wool felt', '#8c8f94', {
    thickness: '1.2 mm',
    squash: 0.2,
    stretchAlong: 4,
    stretchAcross: 6,
  }),
  inside('lining', 'Plain cotton, fog', '#d5dde3', {
    thickness: '0.28 mm',
    stretchAlong: 1,
    stretchAcross: 2.5,
    shrinkage: 3,
  }),
  inside('underlining', 'White lawn', '#fbfaf6', {
    thickness: '0.18 mm',
    stretchAlong: 1,
    stretchAcross: 3,
    seeThrough: 0.5,
  }),
  inside('interfacing', 'Woven fusible', '#f1f0ec', { thickness: '0.25 mm' }),
  inside('interfacing', 'Stiff fusible', '#ececec', { thickness: '0.7 mm', stiffness: 'stiff' }),
  inside('padding', 'Fusible fleece', '#f4f1e8', {
    thickness: '3 mm',
    squash: 0.4,
    stretchAlong: 1,
    stretchAcross: 1,
  }),
  inside('padding', 'Cotton batting', '#efe9da', {
    thickness: '2.3 mm',
    squash: 0.35,
    stretchAlong: 2,
    stretchAcross: 2,
    takeUp: 3,
    shrinkage: 4,
  }),
]

type Traits = Omit<MaterialBody['material'], 'role' | 'name'>

function cloth(name: string, swatch: string, traits: Traits): MaterialBody {
  return inside('outer', name, swatch, { stretchAlong: 1, stretchAcross: 2.5, ...traits })
}

function inside(
  role: MaterialBody['material']['role'],
  name: string,
  swatch: string,
  traits: Traits,
): MaterialBody {
  return { unit: 'in', swatch, material: { role, name, ...traits } }
}
