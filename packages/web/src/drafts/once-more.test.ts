import { expect } from 'chai'
import { onceMore } from './once-more'

describe('work that is asked for while it runs', () => {
  /** Work that ends when it is told to, and counts how often it began. */
  const slowWork = () => {
    const ends: (() => void)[] = []
    return { ends, work: () => new Promise<void>(resolve => ends.push(resolve)) }
  }
  const aMoment = () => new Promise(resolve => setImmediate(resolve))

  it('runs once more after that, however often it was asked', async () => {
    const run = onceMore()
    const { ends, work } = slowWork()
    const first = run('row', work)
    await aMoment()
    const later = [run('row', work), run('row', work)]
    expect(ends).to.have.length(1)
    ends[0]?.()
    await aMoment()
    expect(ends).to.have.length(2)
    ends[1]?.()
    await Promise.all([first, ...later])
    expect(ends).to.have.length(2)
  })

  it('runs for each key by itself, and anew once it is done', async () => {
    const run = onceMore()
    const { ends, work } = slowWork()
    const both = [run('one', work), run('other', work)]
    await aMoment()
    expect(ends).to.have.length(2)
    for (const end of ends) end()
    await Promise.all(both)
    void run('one', work)
    await aMoment()
    expect(ends).to.have.length(3)
  })

  it('may be asked again after it failed', async () => {
    const run = onceMore()
    const failed = await run('row', () => Promise.reject(new Error('away'))).catch((error: unknown) => error)
    expect(failed).to.be.instanceOf(Error)
    let count = 0
    await run('row', () => {
      count++
      return Promise.resolve()
    })
    expect(count).to.equal(1)
  })
})
