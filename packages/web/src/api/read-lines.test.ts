import { expect } from 'chai'
import { readLines } from './read-lines.js'

const streamOf = (chunks: readonly Uint8Array[]) =>
  new ReadableStream<Uint8Array>({
    start: controller => {
      for (const chunk of chunks) controller.enqueue(chunk)
      controller.close()
    },
  })
const readAll = async (chunks: readonly Uint8Array[]) => {
  const lines: unknown[] = []
  for await (const line of readLines(streamOf(chunks))) lines.push(line)
  return lines
}

describe('an answer that comes line by line', () => {
  it('is read however it is cut, in the middle of a letter too', async () => {
    const bytes = new TextEncoder().encode('{"part":0.5}\n{"name":"Grüße ¾"}\n')
    const whole = [{ part: 0.5 }, { name: 'Grüße ¾' }]
    for (let size = 1; size <= bytes.length; size++) {
      const chunks = Array.from({ length: Math.ceil(bytes.length / size) }, (_, n) =>
        bytes.slice(n * size, (n + 1) * size),
      )
      expect(await readAll(chunks), `in chunks of ${size}`).to.deep.equal(whole)
    }
  })

  it('leaves out a last line that was cut off, and empty ones', async () => {
    expect(await readAll([new TextEncoder().encode('{"part":1}\n\n{"par')])).to.deep.equal([{ part: 1 }])
    expect(await readAll([])).to.deep.equal([])
  })
})
