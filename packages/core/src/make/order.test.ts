import { expect } from 'chai'
import fc from 'fast-check'
import { inOrder, setUpsOf, totalMinutes } from './order.js'
import type { WorkPlace } from './step.js'

interface Work {
  readonly id: string
  readonly needs: readonly string[]
  readonly place: WorkPlace
  readonly within?: number
}

const places: readonly WorkPlace[] = ['cutting', 'iron', 'machine', 'table', 'glue', 'hand', 'press']

/** Steps of which each needs some of those written before it. */
const works = fc
  .integer({ min: 1, max: 30 })
  .chain(count =>
    fc.tuple(
      ...Array.from({ length: count }, (_, step) =>
        fc.record({
          needs: fc.uniqueArray(fc.nat(Math.max(0, step - 1)), { maxLength: 3 }),
          place: fc.constantFrom(...places),
        }),
      ),
    ),
  )
  .map(list =>
    list.map(({ needs, place }, step): Work => ({
      id: `s${step}`,
      needs: step === 0 ? [] : needs.map(need => `s${need}`),
      place,
    })),
  )

describe('the order of steps', () => {
  it('has each step once, and none before what it needs', () => {
    fc.assert(
      fc.property(works, steps => {
        const order = inOrder(steps)
        expect(order.map(({ id }) => id).toSorted()).to.deep.equal(steps.map(({ id }) => id).toSorted())
        const at = new Map(order.map(({ id }, index) => [id, index]))
        for (const { id, needs } of steps)
          for (const need of needs) expect(at.get(need)).to.be.below(at.get(id) ?? -1)
      }),
    )
  })

  it('stays at a place as long as there is something to do', () => {
    fc.assert(
      fc.property(works, steps => {
        const order = inOrder(steps)
        order.forEach((step, index) => {
          const before = order[index - 1]
          if (!before || before.place === step.place) return
          const done = new Set(order.slice(0, index).map(({ id }) => id))
          const couldStay = order
            .slice(index)
            .some(({ place, needs }) => place === before.place && needs.every(need => done.has(need)))
          expect(couldStay, `${before.id} to ${step.id}`).to.equal(false)
        })
      }),
    )
  })

  it('goes on at once with what must follow, wherever that is done', () => {
    const steps: readonly Work[] = [
      { id: 'brush', needs: [], place: 'glue', within: 5 },
      { id: 'brush-another', needs: [], place: 'glue' },
      { id: 'crease', needs: ['brush'], place: 'table' },
    ]
    expect(inOrder(steps).map(({ id }) => id)).to.deep.equal(['brush', 'crease', 'brush-another'])
  })

  it('is a bug where nothing can come next', () => {
    expect(() => inOrder([{ id: 'a', needs: ['b'], place: 'hand' }])).to.throw(
      'No step can be done next of a',
    )
  })
})

describe('what an order takes', () => {
  const at = (place: WorkPlace, minutes = 0, wait?: number) => ({ place, minutes, ...(wait && { wait }) })

  it('is the setting up of a place once, a minute to come back to it, nothing to stay', () => {
    // machine 4, stay 0, iron 1, back to the machine 1, cutting 3
    const order = [at('machine'), at('machine'), at('iron'), at('machine'), at('cutting')]
    expect(setUpsOf(order)).to.deep.equal([4, 0, 1, 1, 3])
    expect(setUpsOf([])).to.deep.equal([])
  })

  it('is work and setting up; and with every wait, one after the other', () => {
    // 4 + 10 + 1 + 2.5 = 17.5 minutes of work, 30 more of waiting
    expect(totalMinutes([at('glue', 10, 30), at('table', 2.5)])).to.deep.equal({
      minutes: 17.5,
      elapsed: 47.5,
    })
    expect(totalMinutes([])).to.deep.equal({ minutes: 0, elapsed: 0 })
  })
})
