import { expect } from 'chai'
import { inTurn } from './in-turn.js'

const nextTask = () => new Promise(resolve => setTimeout(resolve, 0))

describe('work in turn', () => {
  it('is done one after the other, each in a task of its own', async () => {
    const done: string[] = []
    await new Promise<void>(resolve => {
      let tasks = 0
      const count = () => (tasks += 1)
      inTurn(() => {
        done.push('first')
        // a task that comes between would see one done, and not both
        setTimeout(count, 0)
      })
      inTurn(() => {
        done.push('second')
        expect(tasks).to.be.at.most(1)
        resolve()
      })
      expect(done).to.deep.equal([])
    })
    expect(done).to.deep.equal(['first', 'second'])
  })

  it('is not done once it was taken back', async () => {
    const done: string[] = []
    const takeBack = inTurn(() => done.push('gone'))
    inTurn(() => done.push('here'))
    takeBack()
    for (let task = 0; task < 3; task++) await nextTask()
    expect(done).to.deep.equal(['here'])
  })

  it('goes on with what work asks for meanwhile', async () => {
    const done = await new Promise<readonly string[]>(resolve => {
      const seen: string[] = []
      inTurn(() => {
        seen.push('board')
        inTurn(() => {
          seen.push('cover')
          resolve(seen)
        })
      })
    })
    expect(done).to.deep.equal(['board', 'cover'])
  })
})
