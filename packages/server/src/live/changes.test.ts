import { expect } from 'chai'
import { createChanges, type Changes, type Heard, type Noted } from './changes.js'
import { createInbox } from './inbox.js'

const noted = (id: number, workshop = 'ours'): Noted => ({
  id: String(id),
  workshop,
  change: { kind: 'cover', id: null, version: id },
})

describe('changes as they happen', () => {
  let time = 0
  const start = (most?: number) => createChanges({ now: () => time, ...(most !== undefined && { most }) })
  const versions = (heard: readonly Heard[]) => heard.map(({ change }) => change?.version ?? 'missed')
  const since = (changes: Changes, after?: string, workshop = 'ours') => {
    const heard: Heard[] = []
    changes.follow(workshop, after, one => heard.push(one))()
    return versions(heard)
  }

  it('are told to those who follow the workshop, and to no others', () => {
    const changes = start()
    const [ours, theirs]: [Heard[], Heard[]] = [[], []]
    const leave = changes.follow('ours', undefined, heard => ours.push(heard))
    changes.follow('theirs', undefined, heard => theirs.push(heard))
    changes.tell(noted(1))
    changes.tell(noted(7, 'theirs'))
    leave()
    changes.tell(noted(2))
    expect([versions(ours), versions(theirs)]).to.deep.equal([[1], [7]])
  })

  it('are told again to whoever was away, from the last that they heard', () => {
    time = 0
    const changes = start()
    changes.tell(noted(1))
    time = 60_000
    changes.tell(noted(2))
    changes.tell(noted(9, 'theirs'))
    changes.tell(noted(3))
    expect(since(changes, '1')).to.deep.equal([2, 3])
    expect(since(changes, '3')).to.deep.equal([2])
  })

  it('that were seen just before the last that one heard are told again: others may have seen them in another order', () => {
    time = 0
    const changes = start()
    changes.tell(noted(5))
    time = 20_000
    // 4 was noted before 6 and seen after it by whoever told of 6 elsewhere
    changes.tell(noted(4))
    changes.tell(noted(6))
    expect(since(changes, '6')).to.deep.equal([4])
  })

  it('of the last moments are told to whoever comes anew: they may have read what they show just before', () => {
    time = 0
    const changes = start()
    changes.tell(noted(1))
    time = 10_000
    changes.tell(noted(2))
    // 16 s after the first, 6 s after the second; 15 s are the last moments
    time = 16_000
    expect(since(changes)).to.deep.equal([2])
  })

  it('that may have been missed are said to be: too old, never told, or while nobody could look', () => {
    time = 0
    const changes = start(3)
    for (const id of [1, 2, 3, 4, 5]) changes.tell(noted(id))
    // 3, 4 and 5 are kept
    expect(since(changes, '3')).to.deep.equal([4, 5])
    expect(since(changes, '2')).to.deep.equal(['missed'])
    expect(since(changes, '99')).to.deep.equal(['missed'])
    expect(since(changes, '4; drop')).to.deep.equal(['missed'])
    const heard: Heard[] = []
    changes.follow('ours', '5', one => heard.push(one))
    changes.tellMissed()
    expect(versions(heard).at(-1)).to.equal('missed')
    expect(since(changes, '5')).to.deep.equal(['missed'])
    // nothing has happened since: whoever heard that, has heard all
    expect(since(changes, heard.at(-1)?.id)).to.deep.equal([])
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
