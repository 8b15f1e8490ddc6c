import { planSteps, sayProperly, usualHands } from '@snowdrift/core'
import { expect } from 'chai'
import { coverFile } from '../../testing/files.js'
import { plannedOf } from '../../views/planned'
import { practisedAt } from './practised'

describe('what a no at the bench offers to practise', () => {
  const { cover, plan } = plannedOf(coverFile())
  const at = (id: string) => {
    if (!cover || !plan) return undefined
    const { steps } = planSteps(cover, plan, { say: sayProperly('in'), hands: usualHands })
    const step = steps.find(known => known.id === id)
    return step && { step, of: practisedAt(step, plan) }
  }

  it('is a side where one looks at sides', () => {
    expect(at('check-sides')?.of).to.equal('sides')
  })

  it('is the gap where the seam leaves one, if that seam asks anything', () => {
    const sewn = at('sew-round')
    expect(sewn?.of).to.equal(sewn?.step.check ? 'opening' : undefined)
    const asked = sewn && {
      ...sewn.step,
      check: { ask: 'Is it so?', ifNot: 'Mend it.', cost: 'cheap' } as const,
    }
    expect(asked && plan && practisedAt(asked, plan)).to.equal('opening')
  })

  it('is nothing where nothing is asked', () => {
    const pressed = at('press-turned')
    expect(pressed?.step.check).to.equal(undefined)
    expect(pressed).to.include({ of: undefined })
  })
})
