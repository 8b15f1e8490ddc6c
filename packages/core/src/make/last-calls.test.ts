import { expect } from 'chai'
import { families } from '../families/registry.js'
import { coverFrom, familyFile } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { plan } from '../plan/plan.js'
import { usualHands } from './hands.js'
import { lastCallWords } from './last-calls.js'
import { planSteps } from './plan-steps.js'

const makingOf = (family: string) => {
  const cover = coverFrom(familyFile(family))
  return planSteps(cover, plan(cover), { say: sayPlainly('mm'), hands: usualHands })
}

describe('the last call before a stage closes', () => {
  it('for pockets is the first step that joins the outer to something', () => {
    const { steps, lastCalls } = makingOf('slip-cover')
    const [called] = Object.entries(lastCalls).flatMap(([id, call]) => (call === 'pockets' ? [id] : []))
    const place = steps.findIndex(({ id }) => id === called)
    expect(place).to.be.above(0)
    // until then the outer was only washed, pressed, cut, marked and fused
    const before = steps.slice(0, place).filter(({ pieces }) => pieces.includes('outer'))
    expect(before.map(({ kind }) => kind)).not.to.include.oneOf(['sew', 'topstitch', 'glue'])
  })

  it('for what a seam catches is where its sides are looked at', () => {
    const { steps, lastCalls } = makingOf('slip-cover')
    const [called] = Object.entries(lastCalls).flatMap(([id, call]) => (call === 'caught' ? [id] : []))
    const look = steps.find(({ id }) => id === called)
    expect(look?.gate).to.equal(true)
    expect(look?.check?.ask).to.be.a('string')
  })

  it('for linings is only where they are glued in', () => {
    const called = families
      .map(({ id }) => id)
      .filter(id => Object.values(makingOf(id).lastCalls).includes('linings'))
    expect(called).to.deep.equal(['board-cover'])
  })

  it('stands at steps that are there, and has words, whatever the way of making', () => {
    for (const { id } of families) {
      const { steps, lastCalls } = makingOf(id)
      for (const [step, call] of Object.entries(lastCalls)) {
        expect(
          steps.some(known => known.id === step),
          `${id}: ${step}`,
        ).to.equal(true)
        expect(lastCallWords[call]).to.match(/^Last call for .+\.$/)
      }
    }
  })
})
