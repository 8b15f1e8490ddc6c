import { expect } from 'chai'
import type { CoverFile, TypedLayer } from '../file/cover-schema.js'
import { codesOf, everyReading, familyFile, findingOf, planFrom } from '../file/testing/cover-files.js'
import { mm } from '../length/length.js'
import { adviseOnCorners, adviseOnSeam } from './seam-advice.js'

const layered = (family: string, ...layers: TypedLayer[]) => planFrom(familyFile(family, { layers }))
const outer = (changes: Partial<TypedLayer> = {}): TypedLayer => ({
  role: 'outer',
  name: 'Outer',
  thickness: '0.5 mm',
  ...changes,
})

describe('advice on seams', () => {
  const codes = (thickness: number) =>
    adviseOnSeam({ name: 'seam', thickness: mm(thickness) }).map(({ code }) => code)

  it('grades above 2 mm and stops at what goes under the foot', () => {
    expect([2, 2.1, 8, 8.1].map(codes)).to.deep.equal([
      [],
      ['grade-seam'],
      ['grade-seam'],
      ['seam-too-thick'],
    ])
  })

  it('speaks of corners for the thickest seam', () => {
    const seams = [1, 3.2, 2].map(thickness => ({ name: 'seam', thickness: mm(thickness) }))
    expect(adviseOnCorners(seams).map(({ data }) => data)).to.deep.equal([{ thickness: mm(3.2) }])
    expect(adviseOnCorners([])).to.deep.equal([])
  })

  it('counts folded plies twice, and padding only where it is caught', () => {
    const padded = (inset: string) =>
      layered('slip-cover', { role: 'padding', thickness: '1.5 mm', inset }, outer())
    // outer 0.5 and a folded flap 1.0 make 1.5; caught padding 3.0
    expect(codesOf(padded('12 mm'))).not.to.include('grade-seam')
    expect(findingOf(padded('2 mm'), 'grade-seam').data).to.deep.include({ thickness: 3 * 320 })
  })
})

describe('advice on materials', () => {
  it('stiffens thin cloth by how large the thing is', () => {
    const remedy = (object: CoverFile['object']) =>
      (
        findingOf(
          planFrom(familyFile('slip-cover', { object, layers: [outer({ thickness: '0.3 mm' })] })),
          'stiffen-outer',
        ).data as { with: string }
      ).with
    expect(remedy(everyReading)).to.equal('woven')
    const small = { ...everyReading, kind: 'softcover' } as CoverFile['object']
    expect(remedy(small)).to.equal('batting')
    const tall = {
      kind: 'softcover',
      readings: { ...everyReading?.readings, height: ['260 mm'] },
    } as CoverFile['object']
    expect(remedy(tall)).to.equal('woven')
  })

  it('leaves boards and glued cloth alone', () => {
    for (const family of ['board-cover', 'glued-wrap'])
      expect(codesOf(layered(family, outer({ thickness: '0.3 mm' })))).not.to.include('stiffen-outer')
  })

  it('sees a print through thin cloth, and boards, but not what is veiled', () => {
    const over = (...layers: TypedLayer[]) =>
      codesOf(layered('slip-cover', ...layers)).includes('shows-through')
    const print: TypedLayer = { role: 'lining', thickness: '0.3 mm', print: 'two-way' }
    expect(over(print, outer({ seeThrough: 0.3 }))).to.equal(true)
    expect(over(print, outer({ seeThrough: 0.1 }))).to.equal(false)
    expect(over({ role: 'lining', thickness: '0.3 mm' }, outer({ seeThrough: 0.3 }))).to.equal(false)
    expect(over(print, { role: 'padding', thickness: '2 mm' }, outer({ seeThrough: 0.3 }))).to.equal(false)
  })

  it('asks for more seam, or for a sealed edge, where cloth frays', () => {
    const where = (family: string) =>
      (findingOf(layered(family, outer({ frays: 'much' })), 'frays-much').data as { where: string }).where
    expect(where('slip-cover')).to.equal('seam')
    expect(where('soft-wrap')).to.equal('raw edge')
    expect(codesOf(layered('glued-wrap', outer({ frays: 'much' })))).not.to.include('frays-much')
  })

  it('compares what shrinks, washed cloth not at all', () => {
    const pair = (first: Partial<TypedLayer>, second: Partial<TypedLayer>) =>
      codesOf(
        layered('slip-cover', { role: 'lining', thickness: '0.3 mm', ...first }, outer(second)),
      ).includes('shrinkage-differs')
    expect(pair({ shrinkage: 3 }, { shrinkage: 5 })).to.equal(false)
    expect(pair({ shrinkage: 3 }, { shrinkage: 5.1 })).to.equal(true)
    expect(pair({ shrinkage: 3, washed: true }, { shrinkage: 2 })).to.equal(false)
  })

  it('calls a layer without a name by its role', () => {
    const { data } = findingOf(
      layered('slip-cover', { role: 'lining', thickness: '0.3 mm' }, outer({ name: ' ', shrinkage: 4 })),
      'shrinkage-differs',
    )
    expect(data).to.include({ most: 'The outer', least: 'the lining' })
  })
})

describe('options out of what is usual', () => {
  it('are planned as stated, with the nearest that is known to work', () => {
    const { data, repair } = findingOf(
      planFrom(familyFile('board-cover', { options: { spineLiningOverlap: '30 mm' } })),
      'outside-usual',
    )
    expect(data).to.deep.equal({
      label: 'Spine lining over each board',
      value: 30 * 320,
      least: 6 * 320,
      most: 19 * 320,
    })
    expect(repair).to.deep.include({ kind: 'set-option', option: 'spineLiningOverlap', length: 19 * 320 })
  })

  it('of an extra stand beside it, without a button', () => {
    const { about, repair } = findingOf(
      planFrom(
        familyFile('slip-cover', { extras: [{ type: 'bookmark' }, { type: 'handles', length: '200 mm' }] }),
      ),
      'outside-usual',
    )
    expect(about).to.equal('extra:1')
    expect(repair).to.equal(undefined)
  })
})
