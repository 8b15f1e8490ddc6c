import { expect } from 'chai'
import { drawInTurn } from './draw-in-turn.js'

const nextTask = () => new Promise(resolve => setTimeout(resolve, 0))

describe('drawing in turn', () => {
  it('draws one after the other, each in a task of its own, but not what was taken back', async () => {
    const drawn: string[] = []
    await new Promise<void>(resolve => {
      drawInTurn(() => drawn.push('width'))
      const takeBack = drawInTurn(() => drawn.push('too late'))
      drawInTurn(() => {
        drawn.push('height')
        resolve()
      })
      takeBack()
      expect(drawn).to.deep.equal([])
    })
    expect(drawn).to.deep.equal(['width', 'height'])
  })

  it('begins again after it came to its end', async () => {
    const drawn: string[] = []
    await new Promise<void>(resolve => {
      drawInTurn(() => {
        drawn.push('again')
        resolve()
      })
    })
    await nextTask()
    expect(drawn).to.deep.equal(['again'])
  })
})
