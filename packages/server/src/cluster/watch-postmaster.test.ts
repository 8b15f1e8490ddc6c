import { expect } from 'chai'
import { watchPostmaster } from './watch-postmaster.js'

describe('looking after a server', () => {
  /** A server that starts at the `good`-th try, with what was told. */
  function openServer(good: number) {
    const news: string[] = []
    let isUp = true
    let tries = 0
    const watch = watchPostmaster({
      isUp: async () => Promise.resolve(isUp),
      start: async () => {
        tries++
        if (tries < good) return Promise.reject(new Error('It would not start.'))
        isUp = true
        return Promise.resolve()
      },
    })
    watch.begin(what => news.push(what))
    const die = () => {
      isUp = false
    }
    const hears = async (words: string) => {
      while (!news.some(what => what.includes(words))) await new Promise(resolve => setTimeout(resolve, 5))
    }
    return { watch, die, hears, news, tries: () => tries }
  }

  it('leaves one alone that is up, and starts one again that died', async () => {
    const { watch, die, hears, news, tries } = openServer(1)
    await new Promise(resolve => setTimeout(resolve, 450))
    expect([tries(), news]).to.deep.equal([0, []])
    die()
    await hears('is back')
    expect(tries()).to.equal(1)
    die()
    while (tries() < 2) await new Promise(resolve => setTimeout(resolve, 5))
    await watch.end()
  })

  it('tries again where it would not start, and says why', async () => {
    const { watch, die, hears, news } = openServer(3)
    die()
    await hears('is back')
    expect(news).to.deep.equal([
      'The database stopped. Starting it again …',
      'It would not start. Trying again.',
      'It would not start. Trying again.',
      'The database is back. Nothing that was saved is lost.',
    ])
    await watch.end()
  })

  it('comes to an end at once, also while it waits for the next try', async () => {
    const { watch, die, hears } = openServer(Infinity)
    die()
    await hears('Trying again')
    const began = performance.now()
    await watch.end()
    expect(performance.now() - began).to.be.below(190)
  })
})
