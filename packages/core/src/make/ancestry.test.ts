import { expect } from 'chai'
import fc from 'fast-check'
import { ancestryOf } from './ancestry.js'

const needs = (record: Readonly<Record<string, readonly string[]>>) => new Map(Object.entries(record))

/** Steps s0, s1 … of which each needs some of those before it: more of them than a word has bits. */
const graphs = fc
  .integer({ min: 1, max: 80 })
  .chain(count =>
    fc.tuple(
      ...Array.from({ length: count }, (_, step) =>
        fc.uniqueArray(fc.nat(Math.max(0, step - 1)), { maxLength: 4 }),
      ),
    ),
  )
  .map(
    lists => new Map(lists.map((list, step) => [`s${step}`, step === 0 ? [] : list.map(need => `s${need}`)])),
  )

/** All that comes before a step, found by going back need by need. */
function farBefore(graph: ReadonlyMap<string, readonly string[]>, step: string): ReadonlySet<string> {
  const found = new Set<string>()
  const open = [...(graph.get(step) ?? [])]
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (found.has(next)) continue
    found.add(next)
    open.push(...(graph.get(next) ?? []))
  }
  return found
}

describe('what comes before what', () => {
  const { isBefore, nearest } = ancestryOf(needs({ a: [], b: ['a'], c: ['b', 'a'], d: [] }))

  it('is known near and far', () => {
    expect([isBefore('a', 'c'), isBefore('b', 'c'), isBefore('c', 'a'), isBefore('d', 'c')]).to.deep.equal([
      true,
      true,
      false,
      false,
    ])
  })

  it('is said once: what another need has before it already is left out', () => {
    expect(nearest(['a', 'b', 'd'])).to.deep.equal(['b', 'd'])
    expect(nearest([])).to.deep.equal([])
  })

  it('is nothing of a step that is not there', () => {
    expect([isBefore('a', 'x'), isBefore('x', 'a')]).to.deep.equal([false, false])
    expect(nearest(['x', 'a'])).to.deep.equal(['x', 'a'])
  })

  it('is a bug where it goes round in a circle', () => {
    expect(() => ancestryOf(needs({ a: ['c'], b: ['a'], c: ['b'] }))).to.throw('in a circle: a → c → b → a')
    expect(() => ancestryOf(needs({ first: ['a'], a: ['b'], b: ['a'] }))).to.throw('in a circle: a → b → a')
    expect(() => ancestryOf(needs({ a: ['a'] }))).to.throw('in a circle: a → a')
  })

  it('is what one finds by going back need by need, however many steps there are', () => {
    fc.assert(
      fc.property(graphs, graph => {
        const known = ancestryOf(graph)
        for (const then of graph.keys()) {
          const far = farBefore(graph, then)
          for (const first of graph.keys()) expect(known.isBefore(first, then)).to.equal(far.has(first))
        }
      }),
      { numRuns: 40 },
    )
  })

  it('loses nothing where only the nearest needs are kept', () => {
    fc.assert(
      fc.property(graphs, graph => {
        const known = ancestryOf(graph)
        const thinned = new Map([...graph].map(([step, list]) => [step, known.nearest(list)]))
        for (const step of graph.keys())
          expect([...farBefore(thinned, step)].toSorted()).to.deep.equal(
            [...farBefore(graph, step)].toSorted(),
          )
      }),
      { numRuns: 40 },
    )
  })
})
