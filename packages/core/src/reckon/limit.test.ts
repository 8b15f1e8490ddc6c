import { expect } from 'chai'
import type { CoverFile } from '../file/cover-schema.js'
import { codesOf, coverFrom, cutOf, familyFile, planFrom } from '../file/testing/cover-files.js'
import { families } from '../families/registry.js'
import { mm, toMm } from '../length/length.js'
import { findLimit, listLimitQuestions, scaleBook, type LimitQuestion } from './limit.js'
import { fitsOnSheet, type Sheet } from './sheet.js'

const sheet = (widthMm: number, lengthMm: number): Sheet => ({
  role: 'outer',
  width: mm(widthMm),
  length: mm(lengthMm),
})
const journal: CoverFile['object'] = {
  kind: 'journal',
  readings: { pageWidth: ['150 mm'], pageHeight: ['210 mm'], contentsThickness: ['30 mm'] },
}
const lengthOf = (file: CoverFile, question: LimitQuestion, on: Sheet) => {
  const limit = findLimit(file, question, on)
  return limit.found === 'length' ? toMm(limit.length) : limit.found
}

const fits = (file: CoverFile, on: Sheet) => fitsOnSheet(planFrom(file), coverFrom(file), on)

describe('the question turned round', () => {
  it('lays out as the layout does: room for scissors, turned where print and grain allow, of its own cloth only', () => {
    const file = familyFile('slip-cover')
    // outer 362 × 262 and two flaps 172 × 262, 6 apart: 362 + 2·(172 + 6) = 718 in a row
    const laid = (width: number, length: number, changes: Partial<CoverFile> = {}) =>
      fits({ ...file, ...changes }, sheet(width, length))
    expect([laid(718, 262), laid(717, 262)]).to.deep.equal([true, false])
    // all turned, one above the other
    expect(laid(262, 718)).to.equal(true)
    const oneWay = { layers: [{ role: 'outer' as const, thickness: '0.3125 mm', print: 'one-way' as const }] }
    expect(laid(262, 718, oneWay)).to.equal(false)
    // the flaps from a cloth of their own leave the outer alone
    const own = {
      cloths: [{ role: 'outer' as const, name: 'moss', thickness: '0.3 mm' }],
      cutFrom: { flap: 'moss' },
    }
    expect(laid(362, 262, own)).to.equal(true)
  })

  it('says how thick a spine still leaves the turn-in', () => {
    // outer 2·162 + 2·3.1409 + sw + 2·25 = 380.2819 + sw; 450 leaves 69.718: 70 makes 450.28, 69 makes 449.28 → 450
    const file = familyFile('board-cover', { object: journal })
    expect(lengthOf(file, { kind: 'option', key: 'spineWidth' }, sheet(450, 300))).to.equal(69)
    // the contents are ¼ in less: 69 − 6
    expect(lengthOf(file, { kind: 'reading', key: 'contentsThickness' }, sheet(450, 300))).to.equal(63)
  })

  it('says how wide a turn-in still works, by the cloth or by what is comfortable', () => {
    const file = familyFile('board-cover', { object: journal })
    // 222 + 2·turn-in within 300: 39; the width leaves 2·turn-in ≤ 450 − 366.28: 41
    expect(lengthOf(file, { kind: 'option', key: 'turnIn' }, sheet(450, 300))).to.equal(39)
  })

  it('says how deep a flap may be: the board sets the end where the cloth is large', () => {
    const file = familyFile('slip-cover')
    // need_w 344 + ease and the opening of 76: flaps of 136.5 and more leave less; 136 leaves 350 − 272 = 78
    const deepest = lengthOf(file, { kind: 'option', key: 'flapDepth' }, sheet(5000, 5000))
    expect(deepest).to.be.within(130, 150)
    const at = (depth: number) =>
      codesOf(planFrom(familyFile('slip-cover', { options: { flapDepth: `${depth} mm` } })))
    expect(at(Number(deepest))).not.to.include.oneOf(['flap-too-deep', 'opening-too-small'])
    expect(at(Number(deepest) + 1)).to.include.oneOf(['flap-too-deep', 'opening-too-small'])
  })

  it('says how large a book may be, and gives the cover for it', () => {
    const file = familyFile('glued-wrap', { options: { turnIn: '25 mm' } })
    // 320·f + 20 + 50 within 500 and 240·f + 50 within 300: f ≤ 1.0417 by the height
    const limit = findLimit(file, { kind: 'size' }, sheet(500, 300))
    expect(limit.found === 'factor' && limit.factor).to.equal(1.04)
    if (limit.found !== 'factor') throw new Error('No limit')
    expect(fits(limit.file, sheet(500, 300))).to.equal(true)
    expect(cutOf(planFrom(scaleBook(file, 1.05)), 'outer')).to.equal('1 × 406 mm × 302 mm')
  })

  it('says so where nothing works, and where nothing can be planned', () => {
    expect(findLimit(familyFile('glued-wrap'), { kind: 'size' }, sheet(20, 20)).found).to.equal('nothing')
    const unmeasured = familyFile('glued-wrap', { object: { kind: 'hardcover', readings: {} } })
    expect(findLimit(unmeasured, { kind: 'size' }, sheet(900, 900)).found).to.equal('nothing')
    expect(
      findLimit(familyFile('glued-wrap'), { kind: 'option', key: 'soup' }, sheet(900, 900)).found,
    ).to.equal('nothing')
  })

  it('has an answer for every question of every way of making, on cloth large enough', () => {
    for (const { id } of families) {
      const file = familyFile(id)
      const questions = listLimitQuestions(file)
      expect(questions.length).to.be.above(3)
      for (const { question, label } of questions) {
        const limit = findLimit(file, question, sheet(1400, 3000))
        expect(limit.found, `${id}: ${label}`).not.to.equal('nothing')
        if (limit.found !== 'nothing')
          expect(fits(limit.file, sheet(1400, 3000)), `${id}: ${label}`).to.equal(true)
      }
    }
  })
})

describe('pieces on a sheet', () => {
  it('need nothing of a material that none is cut from', () => {
    expect(fits(familyFile('slip-cover'), { role: 'board', width: mm(1), length: mm(1) })).to.equal(true)
  })
})
