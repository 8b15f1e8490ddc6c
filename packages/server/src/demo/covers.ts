import type { CoverFile, TypedObject } from '@snowdrift/core'
import { demoThings, type DemoThing } from './things.js'

const head = { format: 'snowdrift/cover', version: 2, unit: 'in' } as const
const lining = {
  role: 'lining',
  name: 'Plain cotton, fog',
  thickness: '0.28 mm',
  stretchAlong: 1,
  stretchAcross: 2.5,
  shrinkage: 3,
  washed: true,
} as const

/** A dozen covers over eight ways of making, each at a different point: some settled, some with something to say. */
export const demoCovers: readonly { readonly thing: DemoThing; readonly file: CoverFile }[] = [
  {
    thing: 'hutLedger',
    file: {
      ...head,
      family: 'slip-cover',
      name: 'Ledger, printed panel used whole',
      note: 'The panel is used whole: its border is the edge.',
      object: objectOf('hutLedger'),
      sizing: { mode: 'cut', width: '15 3/8', height: '10 1/4' },
      options: { flapDepth: '2 3/4' },
      layers: [
        lining,
        {
          role: 'outer',
          name: 'Moor panel',
          thickness: '0.5 mm',
          stretchAlong: 0.5,
          stretchAcross: 2,
          print: 'one-way',
          washed: true,
        },
      ],
      cloths: [{ role: 'outer', name: 'Heather linen', thickness: '0.45 mm', washed: true }],
      cutFrom: { flap: 'Heather linen' },
    },
  },
  {
    thing: 'snowProfileNotebook',
    file: {
      ...head,
      family: 'slip-cover',
      name: 'Snow profiles, three prints',
      object: objectOf('snowProfileNotebook'),
      sizing: { mode: 'computed' },
      options: { flapDepth: '2 1/2' },
      layers: [
        lining,
        {
          role: 'outer',
          name: 'Larch print',
          thickness: '0.5 mm',
          stretchAlong: 0.5,
          stretchAcross: 2,
          print: 'one-way',
          washed: true,
        },
      ],
      cloths: [
        { role: 'outer', name: 'Moss dots', thickness: '0.28 mm', washed: true },
        { role: 'outer', name: 'Snow stripe', thickness: '0.28 mm', print: 'two-way', washed: true },
      ],
      cutFrom: { flap: 'Moss dots', 'pocket-patch': 'Snow stripe', 'pocket-patch-2': 'Larch print' },
      extras: [
        { type: 'pocket-patch', on: 'back-flap', height: '3' },
        { type: 'pocket-patch', on: 'front-flap', height: '3' },
      ],
    },
  },
  {
    thing: 'handbook',
    file: {
      ...head,
      family: 'slip-cover',
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
      family: 'slip-cover',
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
      family: 'turned-flap-cover',
      name: 'Snow-profile notebook, by recipe',
      object: objectOf('snowProfileNotebook'),
      sizing: { mode: 'recipe', recipe: 'wrap-and-five' },
      layers: [
        lining,
        { role: 'interfacing', name: 'Woven fusible', thickness: '0.25 mm' },
        {
          role: 'outer',
          name: 'Larch-needle print',
          thickness: '0.28 mm',
          shrinkage: 3,
          washed: true,
          stretchAlong: 1,
          stretchAcross: 2.5,
          print: 'one-way',
        },
      ],
    },
  },
  {
    thing: 'weatherBooklets',
    file: {
      ...head,
      family: 'soft-wrap',
      name: 'Weather booklets, soft wrap',
      object: objectOf('weatherBooklets'),
      layers: [
        lining,
        { role: 'interfacing', name: 'Woven fusible', thickness: '0.25 mm' },
        {
          role: 'outer',
          name: 'Rope-grey wool felt',
          thickness: '1.2 mm',
          squash: 0.2,
          stretchAlong: 4,
          stretchAcross: 6,
        },
      ],
      extras: [{ type: 'wrap-ribbon' }],
    },
  },
  {
    thing: 'botanySignatures',
    file: {
      ...head,
      family: 'board-cover',
      name: 'Botany journal on elastic',
      object: objectOf('botanySignatures'),
      options: { inserts: 3, turnIn: '3/4' },
      layers: [
        { role: 'underlining', name: 'White lawn', thickness: '0.18 mm' },
        {
          role: 'outer',
          name: 'Larch-needle print',
          thickness: '0.28 mm',
          shrinkage: 3,
          washed: true,
          print: 'one-way',
          seeThrough: 0.2,
        },
      ],
      extras: [{ type: 'hole-tie', tail: '7' }, { type: 'bookmark' }],
    },
  },
  {
    thing: 'handbook',
    file: {
      ...head,
      family: 'adjustable-wrap',
      name: 'Course handbooks, one wrap for all',
      objects: [
        objectOf('handbook'),
        handbook({ height: ['9'], thickness: ['1/2'], width: ['6'] }),
        handbook({ height: ['8 3/4'], thickness: ['3/4'], width: ['6'] }),
        handbook({ height: ['9'], thickness: ['3/8'], width: ['6'] }),
        handbook({ height: ['8 7/8'], thickness: ['7/16'], width: ['6'] }),
      ],
      layers: [
        lining,
        { role: 'interfacing', name: 'Woven fusible', thickness: '0.25 mm' },
        {
          role: 'outer',
          name: 'Oatmeal linen',
          thickness: '0.45 mm',
          stretchAlong: 1,
          stretchAcross: 2,
          washed: true,
        },
      ],
    },
  },
  {
    thing: 'rotaPlanner',
    file: {
      ...head,
      family: 'zip-around',
      name: 'Rota planner, zipped',
      object: objectOf('rotaPlanner'),
      options: { flapDepth: '3', cornerRadius: '3/4' },
      layers: [
        lining,
        { role: 'padding', name: 'Foam stabiliser', thickness: '3 mm', squash: 0.3 },
        {
          role: 'outer',
          name: 'Spruce-green cotton',
          thickness: '0.28 mm',
          stretchAlong: 1,
          stretchAcross: 2.5,
          shrinkage: 3,
          washed: true,
        },
      ],
      extras: [{ type: 'pocket-divided', pens: 2 }],
    },
  },
  {
    thing: 'sketchTablet',
    file: {
      ...head,
      family: 'fold-case',
      name: 'Sketching tablet, fold-over case',
      object: objectOf('sketchTablet'),
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
      extras: [{ type: 'tie-pair' }],
    },
  },
  {
    thing: 'nightReader',
    file: {
      ...head,
      family: 'sleeve',
      name: 'E-reader sleeve, quilted',
      object: objectOf('nightReader'),
      layers: [
        lining,
        { role: 'padding', name: 'Cotton batting', thickness: '2.3 mm', squash: 0.35, takeUp: 3 },
        {
          role: 'outer',
          name: 'Spruce-green cotton',
          thickness: '0.28 mm',
          stretchAlong: 1,
          stretchAcross: 2.5,
          shrinkage: 3,
          washed: true,
        },
      ],
      extras: [{ type: 'loop-button' }],
    },
  },
  {
    thing: 'hutLedger',
    file: {
      ...head,
      family: 'slip-cover',
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
          shrinkage: 3,
          washed: true,
        },
      ],
      extras: [{ type: 'tie-pair', length: '10' }],
    },
  },
]

/** Another volume of the avalanche course. */
function handbook(readings: TypedObject['readings']): TypedObject {
  return { kind: 'softcover', readings: { boardThickness: ['0.4 mm'], ...readings } }
}

function objectOf(thing: DemoThing): TypedObject {
  return structuredClone(demoThings[thing].object) as unknown as TypedObject
}
