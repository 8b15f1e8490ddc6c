import type { MaterialBody, StashPieceBody, Stock } from '@snowdrift/core'

export type DemoMaterial = MaterialBody & { readonly pieces: readonly StashPieceBody[] }

/** The stash of a made-up workshop, as its owner measured it: cloth and what goes inside, boards, notions. */
export const demoMaterials: readonly DemoMaterial[] = [
  cloth(
    'Spruce-green cotton',
    '#3f6f5f',
    { thickness: '0.28 mm', shrinkage: 3, seeThrough: 0.2, frays: 'some', washed: true },
    { price: 14, width: '43', weave: 'plain' },
    [piece('yardage', '43', '27'), piece('remnant', '18', '21')],
  ),
  cloth(
    'Larch-needle print',
    '#b98a4a',
    { thickness: '0.28 mm', shrinkage: 3, print: 'one-way', frays: 'some' },
    { price: 16, width: '43', weave: 'sprigs', repeat: '6' },
    [piece('remnant', '18', '21'), piece('left-over', '9', '21'), piece('yardage', '43', '18')],
  ),
  cloth(
    'Night-sky canvas',
    '#2f3d5c',
    { thickness: '0.75 mm', stretchAlong: 0.5, stretchAcross: 1.5, stiffness: 'stiff', frays: 'much' },
    { price: 21, width: '54', weave: 'stars' },
    [
      {
        ...piece('yardage', '54', '31'),
        marks: [{ name: 'the Plough', what: 'motif', x: '25', y: '11', width: '4', height: '3' }],
      },
      piece('left-over', '12', '16'),
    ],
  ),
  cloth(
    'Oatmeal linen',
    '#cdbfa6',
    { thickness: '0.45 mm', stretchAcross: 2, shrinkage: 5, frays: 'much' },
    { price: 26, width: '56', weave: 'twill' },
    [
      {
        ...piece('garment', '22', '25', 'back of an old shirt, darts at the foot'),
        avoid: [
          { x: '5', y: '20', width: '1', height: '5' },
          { x: '16', y: '20', width: '1', height: '5' },
        ],
      },
      piece('garment', '13', '17', 'sleeve'),
    ],
  ),
  cloth(
    'Rope-grey wool felt',
    '#8c8f94',
    { thickness: '1.2 mm', squash: 0.2, stretchAlong: 4, stretchAcross: 6 },
    { price: 30, width: '36', weave: 'plain' },
    [piece('remnant', '36', '12')],
  ),
  inside(
    'lining',
    'Plain cotton, fog',
    '#d5dde3',
    { thickness: '0.28 mm', stretchAlong: 1, stretchAcross: 2.5, shrinkage: 3, washed: true },
    { price: 9, width: '43', weave: 'plain' },
    [piece('yardage', '43', '36')],
  ),
  inside(
    'underlining',
    'White lawn',
    '#fbfaf6',
    { thickness: '0.18 mm', stretchAlong: 1, stretchAcross: 3, seeThrough: 0.5 },
    { price: 11, width: '54' },
    [piece('remnant', '27', '24')],
  ),
  inside('interfacing', 'Woven fusible', '#f1f0ec', { thickness: '0.25 mm' }, { price: 8, width: '36' }, [
    piece('yardage', '36', '40'),
  ]),
  inside(
    'interfacing',
    'Stiff fusible',
    '#ececec',
    { thickness: '0.7 mm', stiffness: 'stiff' },
    { price: 9, width: '20' },
    [],
  ),
  inside(
    'padding',
    'Fusible fleece',
    '#f4f1e8',
    { thickness: '3 mm', squash: 0.4, stretchAlong: 1, stretchAcross: 1 },
    { price: 12, width: '35' },
    [piece('yardage', '35', '18')],
  ),
  inside(
    'padding',
    'Cotton batting',
    '#efe9da',
    { thickness: '2.3 mm', squash: 0.35, stretchAlong: 2, stretchAcross: 2, takeUp: 3, shrinkage: 4 },
    { price: 15, width: '60' },
    [piece('remnant', '30', '22')],
  ),
  inside('board', 'Grey board', '#9c9a94', { thickness: '1 mm' }, { price: 3.2 }, [
    piece('sheet', '19 3/4', '27 1/2'),
    piece('sheet', '12', '16'),
  ]),
  notion('cord', 'Waxed cord, 1 mm', '#5a4632', 1.2, [reel('90'), reel('24')]),
  notion('ribbon', 'Grosgrain ribbon, thread red', '#a94a17', 2.4, [reel('60')]),
  notion('zip', 'Nylon zip, fog', '#c9d3d9', 2.9, [reel('14', 2), reel('40')]),
  notion('button', 'Horn-look button', '#6b5a45', 0.8, [{ ...reel(null, 5), note: 'off an old coat' }]),
]

type Traits = Omit<MaterialBody['material'], 'role' | 'name'>

function cloth(
  name: string,
  swatch: string,
  traits: Traits,
  stock: Stock,
  pieces: readonly StashPieceBody[],
): DemoMaterial {
  return inside('outer', name, swatch, { stretchAlong: 1, stretchAcross: 2.5, ...traits }, stock, pieces)
}

function notion(
  kind: NonNullable<Stock['notion']>,
  name: string,
  swatch: string,
  price: number,
  pieces: readonly StashPieceBody[],
): DemoMaterial {
  return inside('trim', name, swatch, { thickness: '1 mm' }, { notion: kind, price }, pieces)
}

function piece(source: StashPieceBody['source'], width: string, length: string, note = ''): StashPieceBody {
  return { source, width, length, count: 1, note, avoid: [], marks: [] }
}

function reel(length: string | null, count = 1): StashPieceBody {
  return { source: 'notion', width: null, length, count, note: '', avoid: [], marks: [] }
}

function inside(
  role: MaterialBody['material']['role'],
  name: string,
  swatch: string,
  traits: Traits,
  stock: Stock,
  pieces: readonly StashPieceBody[],
): DemoMaterial {
  return { unit: 'in', swatch, material: { role, name, ...traits }, stock, pieces }
}
