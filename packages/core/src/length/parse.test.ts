import { expect } from 'chai'
import fc from 'fast-check'
import { formatLength } from './format.js'
import { toMm, type Length } from './length.js'
import { parseLength } from './parse.js'
import { describeLengthProblem } from './problem-words.js'
import { units } from './unit.js'

function millimetres(text: string, unit: 'in' | 'cm' | 'mm' = 'in'): number {
  const parsed = parseLength(text, unit)
  if (!parsed.ok) throw new Error(describeLengthProblem(parsed.problem))
  return toMm(parsed.length)
}

function problemOf(text: string) {
  const parsed = parseLength(text, 'in')
  if (parsed.ok) throw new Error(`${text} was read as ${toMm(parsed.length)} mm`)
  return parsed.problem
}

describe('parseLength', () => {
  for (const text of [
    '8 3/4',
    '8-3/4',
    '8¾',
    '8 ¾',
    '8.75',
    '8,75',
    '8 3/4"',
    '8¾″',
    '8 3⁄4 in',
    '8 ³⁄₄',
    '8.75 inches',
  ])
    it(`reads ${text} as eight and three quarter inches`, () => {
      expect(millimetres(text)).to.equal(222.25)
    })

  it('reads metric units whatever the workshop thinks in', () => {
    expect(millimetres('22.2cm')).to.equal(222)
    expect(millimetres('22,2 cm')).to.equal(222)
    expect(millimetres('222 mm')).to.equal(222)
    expect(millimetres('8in', 'mm')).to.equal(203.2)
  })

  it('takes a bare number in the workshop’s unit', () => {
    expect(millimetres('9', 'cm')).to.equal(90)
    expect(millimetres('9', 'mm')).to.equal(9)
    expect(millimetres('.5')).to.equal(12.7)
  })

  it('reads feet with inches', () => {
    // 14 in = 355.6 mm
    expect(millimetres(`1' 2"`)).to.equal(355.6)
    expect(millimetres('1 ft 2 in')).to.equal(355.6)
    // 14 1/2 in = 368.3 mm
    expect(millimetres(`1′2 1/2″`)).to.equal(368.3)
    expect(millimetres(`1'`)).to.equal(304.8)
  })

  it('hears “about”', () => {
    expect(parseLength('about 9', 'in')).to.deep.include({ ok: true, about: true })
    expect(parseLength('~ 9', 'in')).to.deep.include({ ok: true, about: true })
    expect(parseLength('9', 'in')).to.deep.include({ ok: true, about: false })
  })

  it('refuses what is no length and says what it understood', () => {
    expect(problemOf('')).to.include({ code: 'empty' })
    expect(problemOf('nine')).to.include({ code: 'no-number', understood: '' })
    expect(problemOf('-3')).to.include({ code: 'negative' })
    expect(problemOf('−3 in')).to.include({ code: 'negative' })
    expect(problemOf('8 3/0')).to.include({ code: 'bad-fraction', understood: '8 3/0' })
    expect(problemOf('8 5/4')).to.include({ code: 'bad-fraction' })
    expect(problemOf('8 3/4 bananas')).to.include({
      code: 'unknown-unit',
      understood: '8 3/4',
      rest: 'bananas',
    })
    expect(problemOf('8 x 9')).to.include({ code: 'not-understood', understood: '8', rest: 'x 9' })
    expect(problemOf('9e9')).to.include({ code: 'not-understood', understood: '9' })
    expect(problemOf('999999999')).to.include({ code: 'too-large' })
    expect(problemOf('1'.repeat(50))).to.include({ code: 'not-understood' })
  })

  it('asks about a fraction that is more than a whole, and says what was probably meant', () => {
    const meant = (text: string) => {
      const { code, rather } = problemOf(text)
      expect(code, text).to.equal('top-heavy')
      return rather
    }
    expect(meant('93/8')).to.equal('9 3/8')
    expect(meant('1013/16')).to.equal('10 13/16')
    expect(meant('115/8 in')).to.equal('11 5/8')
    // no place for the space: 9/8 = 1 1/8, 8/8 = 1
    expect(meant('9/8')).to.equal('1 1/8')
    expect(meant('8/8')).to.equal('1')
    expect(describeLengthProblem(problemOf('93/8'))).to.equal(
      '“93/8” is more than a whole: did you mean 9 3/8?',
    )
  })

  it('takes a fraction that is less than a whole as it is', () => {
    expect(millimetres('3/8')).to.equal(9.525)
    expect(millimetres('15/16 in')).to.equal(23.8125)
  })

  it('names the understood part in its words', () => {
    expect(describeLengthProblem(problemOf('8 3/4 bananas')))
      .to.contain('Read 8 3/4')
      .and.contain('bananas')
  })

  it('never throws and never gives a number that is not finite', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), fc.constantFrom(...units), (text, unit) => {
        const parsed = parseLength(text, unit)
        if (parsed.ok) expect(Number.isInteger(parsed.length) && parsed.length >= 0).to.equal(true)
        else expect(describeLengthProblem(parsed.problem)).to.have.length.above(10)
      }),
      { numRuns: 500 },
    )
  })
})

describe('formatLength', () => {
  it('writes true fractions on screen and plain ones in files', () => {
    const length = 8.75 * 8128
    expect(formatLength(length as Length, 'in')).to.equal('8 3/4 in')
    expect(formatLength(length as Length, 'in', { style: 'proper' })).to.equal('8\u00a03\u20444\u00a0in')
    expect(formatLength(length as Length, 'mm')).to.equal('222.3 mm')
    expect(formatLength(length as Length, 'cm', { bare: true })).to.equal('22.23')
  })

  it('writes less than one, nothing and less than nothing', () => {
    expect(formatLength(4064 as Length, 'in')).to.equal('1/2 in')
    expect(formatLength(0 as Length, 'in')).to.equal('0 in')
    expect(formatLength(-4064 as Length, 'in')).to.equal('-1/2 in')
    expect(formatLength(-1 as Length, 'in')).to.equal('0 in')
    expect(formatLength(-320 as Length, 'mm', { style: 'proper' })).to.equal('−1\u00a0mm')
  })

  it('is undone by parseLength for everything that a tape can say', () => {
    const sixtyFourths = fc.integer({ min: 0, max: 64 * 100 }).map(count => (count * 127) as Length)
    const tenths = fc.integer({ min: 0, max: 30_000 }).map(count => (count * 32) as Length)
    const styles = fc.constantFrom('plain' as const, 'proper' as const)
    fc.assert(
      fc.property(sixtyFourths, tenths, styles, (inch, metric, style) => {
        expect(parseLength(formatLength(inch, 'in', { style }), 'mm')).to.deep.include({ length: inch })
        expect(parseLength(formatLength(metric, 'mm', { style }), 'in')).to.deep.include({ length: metric })
        expect(parseLength(formatLength(metric, 'cm', { style }), 'in')).to.deep.include({ length: metric })
      }),
    )
  })
})
