import { expect } from 'chai'
import fc from 'fast-check'
import { listAll, pageOf, type PageRequest } from './page.js'

const rows = Array.from({ length: 1203 }, (_, n) => ({ seq: String(n + 1) }))
/** As the database answers: one row more than there is room for, from behind the cursor on. */
const stored = ({ after = '0', limit }: PageRequest) =>
  rows.filter(({ seq }) => Number(seq) > Number(after)).slice(0, limit + 1)

describe('pages', () => {
  it('name the next one only where there is one', () => {
    expect(pageOf([{ seq: '7' }, { seq: '9' }], 2, ({ seq }) => seq)).to.deep.equal({
      items: ['7', '9'],
      next: null,
    })
    expect(pageOf([{ seq: '7' }, { seq: '9' }], 1, ({ seq }) => seq)).to.deep.equal({
      items: ['7'],
      next: '7',
    })
    expect(pageOf([], 1, ({ seq }: { seq: string }) => seq)).to.deep.equal({ items: [], next: null })
  })

  it('have every row once, whatever their size', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 700 }), limit => {
        const seen: string[] = []
        let after: string | undefined
        do {
          const page = pageOf(
            stored({ limit, ...(after !== undefined && { after }) }),
            limit,
            ({ seq }) => seq,
          )
          seen.push(...page.items)
          after = page.next ?? undefined
        } while (after !== undefined)
        return seen.length === rows.length && new Set(seen).size === rows.length
      }),
      { numRuns: 30 },
    )
  })

  it('are put together to the whole list', async () => {
    const all = await listAll(async page =>
      Promise.resolve(pageOf(stored(page), page.limit, ({ seq }) => seq)),
    )
    expect(all).to.deep.equal(rows.map(({ seq }) => seq))
  })
})
