import { expect } from 'chai'
import { extras } from '../extras/registry.js'
import { listOptionFields, type OptionField } from '../families/option-fields.js'
import { families } from '../families/registry.js'
import type { CoverFile, TypedLayer } from '../file/cover-schema.js'
import { familyFile } from '../file/testing/cover-files.js'
import { readCover } from '../file/read-cover.js'
import { sayPlainly } from '../finding/say.js'
import { usualHands } from '../make/hands.js'
import { planSteps } from '../make/plan-steps.js'
import { plan } from './plan.js'

type Options = Readonly<Record<string, unknown>>

const everyLayer: TypedLayer[] = [
  { role: 'lining', thickness: '0.25 mm' },
  { role: 'interfacing', thickness: '0.25 mm' },
  { role: 'padding', thickness: '2 mm' },
  { role: 'outer', thickness: '0.3 mm' },
]

/** All that a cover comes to, and how it is made; undefined where it cannot be read or made so. */
function outcomeOf(file: CoverFile): string | undefined {
  const read = readCover(file)
  if (!read.ok) return undefined
  const planned = plan(read.value)
  const making = planSteps(read.value, planned, { say: sayPlainly('mm'), hands: usualHands })
  return JSON.stringify([planned, making])
}

/** Values that an option may take: every choice, both answers, lengths and counts from one end to the other. */
function valuesOf(field: OptionField): readonly unknown[] {
  switch (field.field) {
    case 'choice':
      return Object.keys(field.choices)
    case 'yes-no':
      return [true, false]
    case 'length': {
      const lengths = [0.02, 0.05, 0.12, 0.3, 1].map(share => lengthIn(field, share))
      return [...lengths, ...Object.keys(field.named ?? {})]
    }
    case 'count':
      return [field.min, field.min + 1, Math.min(field.max, field.min + 3)]
    case 'text':
      return ['lining', 'outer', 'flap', 'back']
  }
}

function lengthIn(
  { minMm, maxMm }: Extract<OptionField, { readonly field: 'length' }>,
  share: number,
): string {
  return `${(minMm + share * (maxMm - minMm)).toFixed(1)} mm`
}

/** The cover with some other option chosen otherwise: much matters only then. */
function settingsOf(fields: ReturnType<typeof listOptionFields>, besides: string): readonly Options[] {
  return [
    {},
    ...fields.flatMap(([key, field]) =>
      key === besides
        ? []
        : (field.field === 'length' ? [lengthIn(field, 0.12)] : valuesOf(field)).map(value => ({
            [key]: value,
          })),
    ),
  ]
}

/** Whether one of its values makes another cover than its usual one, in one of several settings. */
function doesSomething(
  field: readonly [string, OptionField],
  settings: readonly Options[],
  fileWith: (options: Options) => CoverFile,
): boolean {
  const [key, what] = field
  return settings.some(setting => {
    const usual = outcomeOf(fileWith(setting))
    if (usual === undefined) return false
    return valuesOf(what).some(value => {
      const outcome = outcomeOf(fileWith({ ...setting, [key]: value }))
      return outcome !== undefined && outcome !== usual
    })
  })
}

describe('every option does something', () => {
  for (const family of families)
    it(`of ${family.id}`, () => {
      const fields = listOptionFields(family.options('mm'))
      const idle = fields.filter(
        field =>
          ![[], everyLayer].some(layers =>
            doesSomething(field, settingsOf(fields, field[0]), options =>
              familyFile(family.id, { options, ...(layers.length > 0 && { layers }) }),
            ),
          ),
      )
      expect(idle.map(([key]) => key)).to.deep.equal([])
    })

  for (const extra of extras)
    it(`of ${extra.type}`, () => {
      const carriers = families.filter(({ traits }) => extra.refuses(traits) === undefined)
      const fields = listOptionFields(extra.options('mm'))
      const idle = fields.filter(
        field =>
          !carriers.some(({ id }) =>
            doesSomething(field, settingsOf(fields, field[0]), options =>
              familyFile(id, { extras: [{ type: extra.type, ...options }], layers: everyLayer }),
            ),
          ),
      )
      expect(idle.map(([key]) => key)).to.deep.equal([])
    })
})
