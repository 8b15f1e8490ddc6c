import type { CoverFile, TypedObject } from '@snowdrift/core'
import { demoThings, type DemoThing } from './things.js'

const head = { format: 'snowdrift/cover', version: 1, unit: 'in', family: 'slip-cover' } as const
const lining = {
  role: 'lining',
  name: 'Plain cotton, fog',
  thickness: '0.28 mm',
  stretchAlong: 1,
  stretchAcross: 2.5,
} as const

/** Four covers, each at a different point: one settled, three with something to say. */
export const demoCovers: readonly { readonly thing: DemoThing; readonly file: CoverFile }[] = [
  {
    thing: 'handbook',
    file: {
      ...head,
      name: 'Handbook cover, too tight',
      object: objectOf('handbook'),
      sizing: { mode: 'rule', measure: 'open', addWidth: '3/8', addHeight: '1 1/4' },
      options: { flapDepth: '2 1/2' },
      layers: [
        lining,
        { role: 'padding', name: 'Cotton batting', thickness: '2.3 mm', squash: 0.35 },
        { role: 'outer', name: 'Oatmeal linen', thickness: '0.45 mm', stretchAlong: 1, stretchAcross: 2 },
      ],
    },
  },
  {
    thing: 'starAtlas',
    file: {
      ...head,
      name: 'Star atlas, padded',
      object: objectOf('starAtlas'),
      sizing: { mode: 'computed' },
      options: { flapStyle: 'faced', flapDepth: '5 1/2' },
      layers: [
        lining,
        { role: 'padding', name: 'Fusible fleece', thickness: '3 mm', squash: 0.4 },
        {
          role: 'outer',
          name: 'Night-sky canvas',
          thickness: '0.75 mm',
          stretchAlong: 0.5,
          stretchAcross: 1.5,
          stiffness: 'stiff',
        },
      ],
    },
  },
  {
    thing: 'snowProfileNotebook',
    file: {
      ...head,
      name: 'Snow-profile notebook, by recipe',
      object: objectOf('snowProfileNotebook'),
      sizing: { mode: 'recipe', recipe: 'inch-and-a-half' },
      options: { flapDepth: '2 3/4' },
      layers: [
        lining,
        { role: 'interfacing', name: 'Woven fusible', thickness: '0.25 mm' },
        {
          role: 'outer',
          name: 'Larch-needle print',
          thickness: '0.28 mm',
          stretchAlong: 1,
          stretchAcross: 2.5,
          print: 'one-way',
        },
      ],
    },
  },
  {
    thing: 'hutLedger',
    file: {
      ...head,
      name: 'Hut ledger, with ties',
      object: objectOf('hutLedger'),
      sizing: { mode: 'computed', easeWidth: '5 mm', easeHeight: '5 mm' },
      options: { flapStyle: 'folded', flapDepth: '3' },
      layers: [
        lining,
        { role: 'padding', name: 'Fusible fleece', thickness: '3 mm', squash: 0.4, inset: '1/2' },
        {
          role: 'outer',
          name: 'Spruce-green cotton',
          thickness: '0.28 mm',
          stretchAlong: 1,
          stretchAcross: 2.5,
        },
      ],
      extras: [{ type: 'tie-pair', length: '10' }],
    },
  },
]

function objectOf(thing: DemoThing): TypedObject {
  return structuredClone(demoThings[thing].object) as unknown as TypedObject
}
