import { expect } from 'chai'
import { settleSamples } from './settle.js'
import { createSimulatedTape } from './simulated-tape.js'
import type { TapeNews } from './tape.js'

/** Random numbers that come again in a round. */
const cycle = (...values: readonly number[]) => {
  let at = 0
  return () => values[at++ % values.length] ?? 0
}
const open = (random = cycle(0.5)) => {
  const tape = createSimulatedTape({ random, wait: async () => Promise.resolve() })
  const heard: TapeNews[] = []
  const end = tape.listen(news => heard.push(news))
  return { tape, heard, end }
}
const readings = (heard: readonly TapeNews[]) =>
  heard.flatMap(news => (news.kind === 'reading' ? [settleSamples(news.samplesMm).kind] : []))

describe('the simulated tape', () => {
  it('says that it is connected, and what it reads', async () => {
    const { tape, heard, end } = open()
    tape.press(222)
    expect(heard).to.deep.equal([])
    await tape.connect()
    tape.press(222)
    expect(heard.map(({ kind }) => kind)).to.deep.equal(['connected', 'battery', 'reading', 'battery'])
    expect(heard[2]).to.deep.equal({ kind: 'reading', samplesMm: [222, 222, 222, 222, 222], unit: 'mm' })
    end()
    tape.press(100)
    expect(heard).to.have.length(4)
  })

  it('shakes as it is told: a little is read, much is not', async () => {
    const { tape, heard } = open(cycle(0, 1, 0.5))
    await tape.connect()
    tape.set({ jitterMm: 0.4 })
    tape.press(222)
    tape.set({ jitterMm: 3 })
    tape.press(222)
    expect(readings(heard)).to.deep.equal(['read', 'moved'])
  })

  it('is lost when it is out of reach, or its battery is empty', async () => {
    const { tape, heard } = open()
    await tape.connect()
    tape.lose()
    tape.press(222)
    expect(heard.at(-1)).to.deep.equal({ kind: 'lost' })
    await tape.connect()
    tape.set({ battery: 5 })
    tape.press(222)
    expect(heard.slice(-2)).to.deep.equal([{ kind: 'battery', percent: 4 }, { kind: 'lost' }])
    const failed = await tape.connect().catch((error: unknown) => (error as Error).message)
    expect(failed).to.match(/battery is empty/)
  })
})
