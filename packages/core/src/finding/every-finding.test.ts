import { expect } from 'chai'
import { applyRepair } from '../file/apply-repair.js'
import type { CoverFile, TypedExtra, TypedLayer } from '../file/cover-schema.js'
import { codesOf, coverFile, everyReading, familyFile, planFrom } from '../file/testing/cover-files.js'
import { upgradeCoverFile } from '../file/upgrades.js'
import { inches, mm, type Length } from '../length/length.js'
import type { ChanceFindings } from './data/chance-findings.js'
import type { FindingCode } from './finding.js'
import { severityIn } from './severities.js'

const outer = (changes: Partial<TypedLayer> = {}): TypedLayer => ({
  role: 'outer',
  thickness: '0.5 mm',
  ...changes,
})
const lining: TypedLayer = { role: 'lining', thickness: '0.25 mm' }
const stack = (...layers: readonly Partial<TypedLayer>[]) => ({ layers: [...layers] as TypedLayer[] })

const reading = (
  family: string,
  changes: Readonly<Record<string, readonly string[] | undefined>>,
  more: object = {},
) =>
  familyFile(family, {
    object: {
      ...everyReading,
      readings: { ...everyReading?.readings, ...changes },
      ...more,
    } as NonNullable<CoverFile['object']>,
  })
const slip = (changes: Partial<CoverFile> = {}) => familyFile('slip-cover', changes)
const board = (options: Readonly<Record<string, unknown>>) => familyFile('board-cover', { options })
const adding = (family: string, ...extras: TypedExtra[]) =>
  familyFile(family, { extras, ...stack(lining, { role: 'padding', thickness: '2 mm' }, outer()) })
const device = (family: string, thickness: string) => reading(family, { thickness: [thickness] })
const ease = (easeWidth: string) => slip({ sizing: { mode: 'computed', easeWidth } })
const rule = (addWidth: string, changes: Partial<CoverFile> = {}) =>
  slip({ sizing: { mode: 'rule', measure: 'wrap', addWidth, addHeight: '40 mm' }, ...changes })
const series = (thickness: string): CoverFile => {
  const { object: _object, ...file } = familyFile('adjustable-wrap')
  const book = (thick: string) =>
    reading('adjustable-wrap', { thickness: [thick] }).object as NonNullable<CoverFile['object']>
  return { ...file, objects: [book('20 mm'), book(thickness)] }
}

/** A padded cover as a file of that version. */
const padded = (version: number) =>
  ({
    ...slip(stack(lining, { role: 'padding', thickness: '2 mm' }, outer())),
    version,
  }) as unknown as CoverFile

/** What is said of a chance, of a layout or of the tools at hand alone; its test is beside those. */
type SaidElsewhere =
  | keyof ChanceFindings
  | 'card-turned'
  | 'punch-too-short'
  | 'no-such-punch'
  | 'board-too-thick'
  | 'too-thick-for-foot'

/** For every finding a cover that trips it, and one as near as can be that does not. The compiler misses none. */
const cases: { readonly [Code in Exclude<FindingCode, SaidElsewhere>]: readonly [CoverFile, CoverFile] } = {
  'wrap-impossible': [
    reading('slip-cover', { wrap: ['319 mm'] }),
    reading('slip-cover', { wrap: ['320 mm'] }),
  ],
  'wrap-disagrees': [
    reading('slip-cover', { wrap: ['346 mm'] }),
    reading('slip-cover', { wrap: ['345 mm'] }),
  ],
  'open-closed-differ': [
    reading('slip-cover', { wrap: ['340 mm'], openWidth: ['329 mm'] }),
    reading('slip-cover', { wrap: ['340 mm'], openWidth: ['330 mm'] }),
  ],
  'open-only': [
    reading('slip-cover', { openWidth: ['340 mm'], thickness: ['15 mm'] }),
    reading('slip-cover', { openWidth: ['340 mm'], thickness: ['14 mm'] }),
  ],
  'sides-swapped': [
    reading('slip-cover', { width: ['241 mm'] }),
    reading('slip-cover', { width: ['240 mm'] }),
  ],
  'readings-spread': [
    reading('slip-cover', { height: ['240 mm', '243.5 mm'] }),
    reading('slip-cover', { height: ['240 mm', '243 mm'] }),
  ],
  'board-assumed': [reading('slip-cover', { boardThickness: undefined }), slip()],
  'thickness-unknown': [
    reading('zip-around', { thickness: undefined, width: undefined, wrap: ['340 mm'] }),
    // 340 − 2·160 = 20 thick
    reading('zip-around', { thickness: undefined, wrap: ['340 mm'] }),
  ],
  'thickness-assumed': [
    reading('sleeve', { thickness: undefined }, { kind: 'tablet' }),
    reading('sleeve', { thickness: undefined, wrap: ['340 mm'] }, { kind: 'tablet' }),
  ],
  'width-unknown': [
    reading('slip-cover', { width: undefined, thickness: undefined, wrap: ['340 mm'] }),
    reading('slip-cover', { width: undefined, wrap: ['340 mm'] }),
  ],
  'stiffer-first': [
    reading('slip-cover', {}, { frontStiffness: 'soft', backStiffness: 'stiff' }),
    reading('slip-cover', {}, { frontStiffness: 'stiff', backStiffness: 'stiff' }),
  ],
  // s = 0.4063: needs 342 + 1.2763 = 343.2763, and 28 at the most hang well: 371.2763
  'old-cover-large': [
    slip({ oldCover: { width: { finished: '372 mm' } } }),
    slip({ oldCover: { width: { finished: '371 mm' } } }),
  ],
  'will-not-go': [rule('10 mm'), rule('25 mm')],
  'tight-but-goes': [
    // s = 0.25: needs 340 + 2 + 0.7854 = 342.79; finished 340 + 15 − 13 = 342, and 2 % of it gives 6.84
    rule('15 mm', { layers: [outer({ stretchAcross: 2 })] }),
    rule('15 mm', { layers: [outer()] }),
  ],
  'drum-tight': [ease('0.5 mm'), ease('5 mm')],
  baggy: [ease('29 mm'), ease('27 mm')],
  'flap-too-deep': [slip({ options: { flapDepth: '151 mm' } }), slip({ options: { flapDepth: '150 mm' } })],
  'flap-too-shallow': [
    familyFile('turned-flap-cover', { options: { flapDepth: '36 mm' } }),
    familyFile('turned-flap-cover', { options: { flapDepth: '38 mm' } }),
  ],
  'will-it-go-in': [
    { ...reading('slip-cover', {}, { foldsBack: false }), options: { flapDepth: '81 mm' } },
    { ...reading('slip-cover', {}, { foldsBack: false }), options: { flapDepth: '80 mm' } },
  ],
  // 348.72 finished: 68.7 is left of 76, and 48.7 of it
  'opening-small': [slip({ options: { flapDepth: '140 mm' } }), slip({ options: { flapDepth: '130 mm' } })],
  'opening-too-small': [
    slip({ options: { flapDepth: '150 mm' } }),
    slip({ options: { flapDepth: '149 mm' } }),
  ],
  'book-not-served': [series('60 mm'), series('22 mm')],
  'corner-pinches': [
    familyFile('zip-around', { options: { cornerRadius: '40 mm' } }),
    familyFile('zip-around', { options: { cornerRadius: '10 mm' } }),
  ],
  'too-thick-for-flat': [device('zip-pouch', '41 mm'), device('zip-pouch', '40 mm')],
  'zip-opening-too-small': [
    familyFile('zip-pouch', {
      sizing: { mode: 'rule', measure: 'device', addWidth: '30 mm', addHeight: '60 mm' },
    }),
    familyFile('zip-pouch', {
      sizing: { mode: 'rule', measure: 'device', addWidth: '33 mm', addHeight: '60 mm' },
    }),
  ],
  'page-not-flat': [
    adding('slip-cover', { type: 'pocket-patch', contents: '5 mm' }),
    adding('slip-cover', { type: 'pocket-patch', contents: '4 mm' }),
  ],
  'recipe-changed': [
    slip({ seam: '10 mm', sizing: { mode: 'recipe', recipe: 'two-inches' } }),
    slip({ seam: '12 mm', sizing: { mode: 'recipe', recipe: 'two-inches' } }),
  ],
  'piece-too-small': [
    slip(stack({ role: 'padding', thickness: '2 mm', inset: '140 mm' }, outer())),
    slip(stack({ role: 'padding', thickness: '2 mm', inset: '12 mm' }, outer())),
  ],
  'outside-usual': [
    familyFile('glued-wrap', { options: { turnIn: '20 mm' } }),
    familyFile('glued-wrap', { options: { turnIn: '25 mm' } }),
  ],
  'spine-too-thin': [board({ spineWidth: '15 mm' }), board({ spineWidth: '16 mm' })],
  'gap-too-narrow': [board({ gap: '1.8 mm' }), board({ gap: '2 mm' })],
  'gap-tight': [board({ gap: '2.8 mm' }), board({ gap: '2.9 mm' })],
  'gap-floppy': [board({ gap: '9.5 mm' }), board({ gap: '9 mm' })],
  // boards are 2 thick
  'turn-in-tight': [board({ turnIn: '9 mm' }), board({ turnIn: '10 mm' })],
  'turn-in-too-small': [board({ turnIn: '3.2 mm' }), board({ turnIn: '4 mm' })],
  'cloth-not-there': [
    slip({ cutFrom: { flap: 'Moss print' } }),
    slip({
      cutFrom: { flap: 'Moss print' },
      cloths: [{ role: 'outer', name: 'moss print', thickness: '0.3 mm' }],
    }),
  ],
  'piece-not-there': [slip({ pieced: ['flaps'] }), slip({ pieced: ['flap'] })],
  'sizes-mended': [padded(1), padded(2)],
  'print-over-fold': [
    familyFile('fold-case', stack(outer({ print: 'one-way' }))),
    familyFile('fold-case', stack(outer({ print: 'none' }))),
  ],
  'seam-too-thick': [
    familyFile('sleeve', stack({ role: 'padding', thickness: '4 mm' }, outer())),
    familyFile('sleeve', stack({ role: 'padding', thickness: '3 mm' }, outer())),
  ],
  'grade-seam': [slip(stack(outer({ thickness: '0.7 mm' }))), slip(stack(outer({ thickness: '0.6 mm' })))],
  'no-closure': [familyFile('fold-case'), familyFile('fold-case', { extras: [{ type: 'tie-pair' }] })],
  'extra-not-carried': [
    adding('slip-cover', { type: 'thumb-scoop' }),
    adding('sleeve', { type: 'thumb-scoop' }),
  ],
  'extras-collide': [
    adding('slip-cover', { type: 'pocket-patch' }, { type: 'pocket-faced' }),
    adding(
      'slip-cover',
      { type: 'pocket-patch', height: '60 mm', y: '5 mm' },
      { type: 'pocket-faced', height: '60 mm', y: '120 mm' },
    ),
  ],
  'extra-outside': [
    adding('slip-cover', { type: 'pocket-patch', on: 'front-flap', width: '90 mm' }),
    adding('slip-cover', { type: 'pocket-patch', on: 'front-flap', width: '70 mm' }),
  ],
  'place-unheeded': [
    adding('slip-cover', { type: 'tie-pair', x: '10 mm' }),
    adding('slip-cover', { type: 'tie-pair', y: '90 mm' }),
  ],
  'extra-over-fold': [
    adding('slip-cover', { type: 'patch', on: 'outer', x: '150 mm', y: '100 mm' }),
    adding('slip-cover', { type: 'patch', on: 'outer', x: '50 mm', y: '100 mm' }),
  ],
  'extra-too-short': [
    adding('slip-cover', { type: 'tie-pair', length: '100 mm' }),
    adding('slip-cover', { type: 'tie-pair', length: '120 mm' }),
  ],
  'extra-in-opening': [
    { ...adding('fold-case', { type: 'elastic-band', fromEdge: '180 mm' }) },
    { ...adding('fold-case', { type: 'elastic-band', fromEdge: '30 mm' }) },
  ],
  'pocket-through-outside': [
    adding('slip-cover', { type: 'pocket-clear', on: 'outer' }),
    adding('slip-cover', { type: 'pocket-clear' }),
  ],
  'step-too-small': [
    adding('slip-cover', { type: 'pocket-tiered', tiers: 4, height: '120 mm' }),
    adding('slip-cover', { type: 'pocket-tiered', tiers: 3, height: '120 mm' }),
  ],
  'handle-span': [
    adding('slip-cover', { type: 'handles', span: '60 mm' }, { type: 'tab-snap' }),
    adding('slip-cover', { type: 'handles', span: '63 mm' }, { type: 'tab-snap' }),
  ],
  'handle-frays': [
    familyFile('slip-cover', {
      extras: [{ type: 'handles', fold: 'three' }],
      ...stack(outer({ frays: 'some' })),
    }),
    familyFile('slip-cover', { extras: [{ type: 'handles', fold: 'three' }], ...stack(outer()) }),
  ],
  'magnet-near-sensor': [
    adding('sleeve', { type: 'magnets', fromSensor: '49 mm' }),
    adding('sleeve', { type: 'magnets', fromSensor: '50 mm' }),
  ],
  'quilting-without-padding': [
    familyFile('slip-cover', { extras: [{ type: 'quilting' }] }),
    adding('slip-cover', { type: 'quilting' }),
  ],
  'stiffen-outer': [slip(stack(lining, outer({ thickness: '0.28 mm' }))), slip(stack(lining, outer()))],
  'too-stiff': [
    slip(
      stack({ role: 'interfacing', thickness: '0.7 mm', stiffness: 'stiff' }, outer({ thickness: '0.9 mm' })),
    ),
    slip(stack({ role: 'interfacing', thickness: '0.7 mm', stiffness: 'stiff' }, outer())),
  ],
  'shows-through': [
    familyFile('board-cover', stack(outer({ seeThrough: 0.3 }))),
    familyFile(
      'board-cover',
      stack({ role: 'underlining', thickness: '0.2 mm' }, outer({ seeThrough: 0.5 })),
    ),
  ],
  'frays-much': [
    slip(stack(outer({ frays: 'much' }))),
    slip({ seam: '10 mm', ...stack(outer({ frays: 'much' })) }),
  ],
  'glue-strikes-through': [
    familyFile('glued-wrap', stack(outer({ thickness: '0.34 mm' }))),
    familyFile(
      'glued-wrap',
      stack({ role: 'interfacing', thickness: '0.15 mm' }, outer({ thickness: '0.18 mm' })),
    ),
  ],
  'shrinkage-differs': [
    slip(stack(lining, outer({ shrinkage: 5 }))),
    slip(stack(lining, outer({ shrinkage: 5, washed: true }))),
  ],
  'padding-in-seam': [
    slip(stack({ role: 'padding', thickness: '2 mm', inset: '5 mm' }, outer())),
    slip(stack({ role: 'padding', thickness: '2 mm', inset: '6 mm' }, outer())),
  ],
  'clip-corners': [slip(stack(outer({ thickness: '1.1 mm' }))), slip(stack(outer({ thickness: '0.9 mm' })))],
  'one-way-print': [slip(stack(outer({ print: 'one-way' }))), slip(stack(outer({ print: 'two-way' })))],
}

/** As it is opened: of the newest version. And the same reckoned in inches, on the metric grid that it has. */
const opened = (file: CoverFile): CoverFile => {
  const read = upgradeCoverFile(file)
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  return read.value as CoverFile
}
const inInches = (file: CoverFile): CoverFile => ({ ...file, unit: 'in' })

describe('a repair', () => {
  const offered = Object.entries(cases).flatMap(([code, [bad]]) =>
    [opened(bad), inInches(opened(bad))].flatMap(file => {
      const finding = planFrom(file).findings.find(found => found.code === code)
      const repair = finding?.repair
      return repair && repair.kind !== 'measure' ? [{ code, file, repair }] : []
    }),
  )

  it('is offered by several findings', () => {
    expect(new Set(offered.map(({ repair }) => repair.kind))).to.include.all.keys(
      'set-option',
      'swap-readings',
      'accept-mended',
    )
  })

  for (const { code, file, repair } of offered)
    it(`mends what it is offered for: ${code}, in ${file.unit ?? 'in'}, by ${repair.kind}`, () => {
      const errorsOf = (cover: CoverFile) =>
        planFrom(cover).findings.filter(found => severityIn(found) === 'error').length
      const mended = applyRepair(file, repair)
      expect(codesOf(planFrom(mended))).not.to.include(code)
      expect(errorsOf(mended)).to.be.at.most(errorsOf(file))
    })

  it('opens the inner half of deep turned flaps, where a stiff cover would not bend into them', () => {
    const file = familyFile('turned-flap-cover', {
      object: { ...everyReading, foldsBack: false } as NonNullable<CoverFile['object']>,
      options: { flapDepth: '100 mm' },
    })
    const repair = planFrom(file).findings.find(({ code }) => code === 'will-it-go-in')?.repair
    expect(repair).to.include({ kind: 'choose-option', option: 'innerHalf', choice: 'open' })
    if (repair) expect(codesOf(planFrom(applyRepair(file, repair)))).not.to.include('will-it-go-in')
  })

  it('is written to the last tick, in the cover’s unit where that can say it', () => {
    const to = (length: Length, unit: 'in' | 'mm') =>
      applyRepair({ ...slip(), unit }, { kind: 'set-option', option: 'flapDepth', name: 'flaps', length })
        .options?.flapDepth
    expect(to(mm(80), 'mm')).to.equal('80 mm')
    expect(to(inches(2.5), 'in')).to.equal('2 1/2 in')
    // 80 mm are 3.1496 in, which no sixty-fourth says: 3 5/32 in would be 80.17 mm, and too deep again
    expect(to(mm(80), 'in')).to.equal('80 mm')
    expect(to(inches(2.5), 'mm')).to.equal('63.5 mm')
    expect(to(inches(1 / 64), 'mm')).to.equal('0.396875 mm')
  })
})

describe('every finding', () => {
  for (const [code, [bad, good]] of Object.entries(cases))
    it(`${code}: trips on its bad example and keeps silent on its good one`, () => {
      expect(codesOf(planFrom(bad))).to.include(code)
      expect(codesOf(planFrom(good))).not.to.include(code)
    })

  it('keeps silent about a cover that is well made', () => {
    const quiet = planFrom(
      coverFile({
        layers: [
          { role: 'lining', thickness: '0.28 mm' },
          { role: 'padding', thickness: '2 mm' },
          { role: 'outer', thickness: '0.5 mm' },
        ],
      }),
    )
    expect(codesOf(quiet)).to.deep.equal([])
  })
})
