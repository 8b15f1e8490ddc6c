import type { Change } from '@snowdrift/core'
import { expect } from 'chai'
import { createChanges, type Heard } from './changes.js'
import { createInbox } from './inbox.js'

const change = (version: number): Change => ({ kind: 'cover', id: null, version })

describe('changes as they happen', () => {
  let time = 0
  const start = (most?: number) =>
    createChanges({ origin: 'here', now: () => time, ...(most !== undefined && { most }) })
  const versions = (heard: readonly Heard[]) => heard.map(({ change }) => change?.version ?? 'missed')

  it('are told to those who follow the workshop, and to no others', () => {
    const changes = start()
    const ours: Heard[] = []
    const theirs: Heard[] = []
    const leave = changes.follow('ours', undefined, heard => ours.push(heard))
    changes.follow('theirs', undefined, heard => theirs.push(heard))
    changes.tell('ours', change(1))
    changes.tell('theirs', change(7))
    leave()
    changes.tell('ours', change(2))
    expect([versions(ours), versions(theirs)]).to.deep.equal([[1], [7]])
  })

  it('are told again to whoever was away, from the last that they heard', () => {
    const changes = start()
    const heard: Heard[] = []
    const leave = changes.follow('ours', undefined, one => heard.push(one))
    changes.tell('ours', change(1))
    leave()
    changes.tell('ours', change(2))
    changes.tell('theirs', change(9))
    changes.tell('ours', change(3))
    const again: Heard[] = []
    changes.follow('ours', heard[0]?.id, one => again.push(one))
    expect(versions(again)).to.deep.equal([2, 3])
    const nothing: Heard[] = []
    changes.follow('ours', again[1]?.id, one => nothing.push(one))
    expect(nothing).to.deep.equal([])
  })

  it('of the last moments are told to whoever comes anew: they may have read what they show just before', () => {
    time = 0
    const changes = start()
    changes.tell('ours', change(1))
    time = 10_000
    changes.tell('ours', change(2))
    // 16 s after the first, 6 s after the second; 15 s are the last moments
    time = 16_000
    const heard: Heard[] = []
    changes.follow('ours', undefined, one => heard.push(one))
    expect(versions(heard)).to.deep.equal([2])
  })

  it('that may have been missed are said to be: of another process, too old, never told, or while the database was away', () => {
    const changes = start(3)
    const since = (after: string) => {
      const heard: Heard[] = []
      changes.follow('ours', after, one => heard.push(one))()
      return versions(heard)
    }
    for (const version of [1, 2, 3, 4, 5]) changes.tell('ours', change(version))
    // 3, 4 and 5 are kept: whoever heard 2 misses nothing, whoever heard 1 does
    expect(since('here.2')).to.deep.equal([3, 4, 5])
    expect(since('here.1')).to.deep.equal(['missed'])
    expect(since('there.4')).to.deep.equal(['missed'])
    expect(since('here.99')).to.deep.equal(['missed'])
    expect(since('here.4; drop')).to.deep.equal(['missed'])
    const heard: Heard[] = []
    changes.follow('ours', 'here.5', one => heard.push(one))
    changes.tellMissed()
    expect(versions(heard)).to.deep.equal(['missed'])
    expect(since('here.5')).to.deep.equal(['missed'])
  })
})

describe('an inbox', () => {
  it('gives what came in its order, says when nothing comes, and ends when it is closed', async () => {
    const inbox = createInbox<number>(5)
    inbox.put(1)
    inbox.put(2)
    const items = inbox.items()
    const next = async () => (await items.next()).value as number | 'nothing' | undefined
    expect([await next(), await next(), await next()]).to.deep.equal([1, 2, 'nothing'])
    const waiting = next()
    inbox.put(3)
    expect(await waiting).to.equal(3)
    const last = items.next()
    inbox.close()
    expect((await last).done).to.equal(true)
  })

  it('is closed on whoever does not read what comes', async () => {
    const inbox = createInbox<number>(1000)
    for (let item = 0; item < 1001; item++) inbox.put(item)
    expect((await inbox.items().next()).done).to.equal(true)
  })
})
