import type { ThingBody } from '@snowdrift/core'

/** What the people of a made-up mountain field station want covered. */
export const demoThings = {
  hutLedger: {
    name: 'Hut ledger',
    unit: 'in',
    object: {
      kind: 'hardcover',
      readings: {
        height: ['9 3/8', '9 5/16'],
        width: ['6 5/8'],
        thickness: ['1 3/16'],
        boardThickness: ['1/8'],
      },
    },
  },
  snowProfileNotebook: {
    name: 'Snow-profile notebook',
    unit: 'in',
    object: {
      kind: 'notebook',
      readings: { height: ['8 1/4'], width: ['5 7/8'], thickness: ['3/8'], openWidth: ['12 1/8'] },
    },
  },
  starAtlas: {
    name: 'Star atlas',
    unit: 'in',
    object: {
      kind: 'hardcover',
      spine: 'rounded',
      foldsBack: false,
      readings: {
        height: ['12 1/8', '12', '12 5/16'],
        width: ['9 1/4'],
        thickness: ['7/8'],
        wrap: ['20 1/8'],
        boardThickness: ['1/8'],
      },
    },
  },
  handbook: {
    name: 'Avalanche course, second handbook',
    unit: 'in',
    object: {
      kind: 'softcover',
      readings: { height: ['9'], thickness: ['5/8'], openWidth: ['12 3/4'], boardThickness: ['0.4 mm'] },
    },
  },
  rotaPlanner: {
    name: 'Rota planner',
    unit: 'in',
    object: {
      kind: 'planner',
      spine: 'coil',
      readings: {
        height: ['8 5/8'],
        width: ['7 1/4'],
        thickness: ['7/8'],
        coilDiameter: ['1 1/8'],
        boardThickness: ['1/16'],
        cornerRadius: ['3/8'],
      },
    },
  },
  nightReader: {
    name: 'E-reader for night trains',
    unit: 'in',
    object: {
      kind: 'tablet',
      readings: { height: ['6 3/4'], width: ['4 7/8'], thickness: ['3/8'], cornerRadius: ['about 3/8'] },
    },
  },
  sketchTablet: {
    name: 'Sketching tablet',
    unit: 'in',
    object: {
      kind: 'tablet',
      readings: { height: ['9 7/8'], width: ['7'], thickness: ['5/16'], cornerRadius: ['1/2'] },
    },
  },
  botanySignatures: {
    name: 'Botany signatures, three summers',
    unit: 'in',
    object: {
      kind: 'journal',
      readings: { pageHeight: ['8 1/4'], pageWidth: ['5 3/4'], contentsThickness: ['1 1/8'] },
    },
  },
  weatherBooklets: {
    name: 'Weather booklets',
    unit: 'in',
    object: {
      kind: 'journal',
      readings: { pageHeight: ['7'], pageWidth: ['4 1/2'], contentsThickness: ['3/4'] },
    },
  },
  fieldGuide: {
    name: 'Old field guide',
    unit: 'in',
    object: {
      kind: 'hardcover',
      spine: 'rounded',
      readings: {
        height: ['7 3/4'],
        width: ['5 1/4'],
        thickness: ['1'],
        boardThickness: ['1/8'],
        grooveDepth: ['1/8'],
      },
    },
  },
} as const satisfies Record<string, unknown>

export type DemoThing = keyof typeof demoThings

/** The things in the order in which they come to the shelf. */
export const demoThingList = Object.entries(demoThings) as unknown as readonly (readonly [
  DemoThing,
  ThingBody,
])[]
