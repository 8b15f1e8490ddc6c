import { expect } from 'chai'
import type { CoverFile } from '../file/cover-schema.js'
import { coverFrom, everyReading, familyFile } from '../file/testing/cover-files.js'
import { simulate } from '../simulate.js'
import { isWorthwhile, weighRemedies, type Remedy } from './remedies.js'

const weighed = (file: CoverFile): readonly Remedy[] => {
  const cover = coverFrom(file)
  const makes = 8000
  const running = weighRemedies(cover, simulate(cover, { makes })?.chance ?? 0, { makes })
  let step = running.next()
  while (!step.done) {
    expect(step.value).to.be.within(0, 1)
    step = running.next()
  }
  return step.value
}
const tight = (readings: Readonly<Record<string, string[]>>, changes: Partial<CoverFile> = {}) =>
  familyFile('slip-cover', {
    object: { kind: 'hardcover', readings: { ...everyReading?.readings, ...readings } },
    sizing: { mode: 'computed', easeWidth: '1 mm', easeHeight: '1 mm' },
    ...changes,
  })
const kindsOf = (remedies: readonly Remedy[]) => remedies.map(({ kind }) => kind.what)
const gain = (remedies: readonly Remedy[], what: string) => {
  const remedy = remedies.find(({ kind }) => kind.what === what)
  return remedy ? remedy.after - remedy.before : NaN
}

describe('what to do for a better chance', () => {
  it('is tried on the same makes, and the greatest gain stands first', () => {
    const remedies = weighed(tight({}))
    const gains = remedies.map(({ before, after }) => after - before)
    expect(gains).to.deep.equal(gains.toSorted((one, other) => other - one))
    expect(new Set(remedies.map(({ before }) => before)).size).to.equal(1)
  })

  it('asks for the tape where a wrap was reckoned, and not where it was read', () => {
    expect(kindsOf(weighed(tight({})))).to.include('wrap-it')
    expect(kindsOf(weighed(tight({ wrap: ['340 mm'] })))).not.to.include('wrap-it')
  })

  it('offers a tape twice as fine as long as there are such tapes: down to 1/64 in', () => {
    const offers = (tapeDivision: string) =>
      kindsOf(
        weighed(
          familyFile('slip-cover', {
            unit: 'in',
            object: { kind: 'hardcover', tapeDivision, readings: { ...everyReading?.readings } },
            sizing: { mode: 'computed', easeWidth: '1 mm', easeHeight: '1 mm' },
          }),
        ),
      ).includes('finer-tape')
    expect(['1/16 in', '1/32 in', '1/64 in'].map(offers)).to.deep.equal([true, true, false])
  })

  it('asks for an exact reading of what is only known about', () => {
    const vague = weighed(tight({ width: ['about 160 mm'] }))
    expect(gain(vague, 'measure-exactly')).to.be.above(0.02)
    expect(kindsOf(weighed(tight({})))).not.to.include('measure-exactly')
  })

  it('asks for the thing itself where another copy was measured', () => {
    const copy = { height: [{ value: '240 mm', state: 'another-copy' }] } as never
    expect(kindsOf(weighed(tight(copy)))).to.include('measure-itself')
  })

  it('asks for more readings where some differ', () => {
    const spread = weighed(tight({ height: ['240 mm', '237 mm'] }))
    expect(gain(spread, 'measure-again')).to.be.above(0)
    expect(kindsOf(weighed(tight({})))).not.to.include('measure-again')
  })

  it('gains nothing worth naming where the chance is whole already', () => {
    expect(weighed(tight({}, { sizing: { mode: 'computed' } })).filter(isWorthwhile).length).to.be.at.most(1)
    expect(
      weighed(tight({}, { sizing: { mode: 'computed', easeWidth: '12 mm', easeHeight: '12 mm' } })).filter(
        isWorthwhile,
      ),
    ).to.deep.equal([])
  })

  it('offers to trim only where nobody trims', () => {
    expect(kindsOf(weighed(tight({})))).not.to.include('leave-room-to-trim')
  })
})
