import { expect } from 'chai'
import { allPages } from './all-pages.js'

describe('a list that is shown in full', () => {
  const itemsOf = ({ items }: { readonly items: readonly number[] }) => items
  /** Asks for it where the server has these pages, or fails at one of them. */
  async function ask(pages: readonly (readonly number[] | 'away')[]) {
    const asked: string[] = []
    const answer = await allPages('/things', itemsOf)(undefined, {} as never, {}, url => {
      asked.push(url as string)
      const page = pages[asked.length - 1]
      return page === undefined || page === 'away'
        ? { error: { status: 'FETCH_ERROR', error: 'away' } }
        : { data: { items: page, next: asked.length < pages.length ? String(asked.length) : null } }
    })
    return { answer, asked }
  }

  it('is asked for page by page to its end', async () => {
    const { answer, asked } = await ask([[1, 2], [3], [4]])
    expect(answer).to.deep.equal({ data: [1, 2, 3, 4] })
    expect(asked).to.deep.equal([
      '/things?limit=500',
      '/things?limit=500&after=1',
      '/things?limit=500&after=2',
    ])
  })

  it('is not shown in part where a page does not come', async () => {
    expect((await ask([[1, 2], 'away'])).answer).to.deep.equal({
      error: { status: 'FETCH_ERROR', error: 'away' },
    })
  })
})
