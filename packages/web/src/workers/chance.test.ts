import { coverFile } from '../testing/files.js'
import { expect } from 'chai'
import { createChanceClient } from './chance-client.js'
import { answerChance } from './chance-handler.js'
import type { ChanceReply, ChanceRequest } from './chance-protocol.js'
import type { WorkerPort } from './worker-client.js'
import { createLatestRunner } from './run-latest.js'

const request = (changes: Partial<ChanceRequest> = {}): ChanceRequest => ({
  id: 1,
  file: coverFile(),
  whatIf: [],
  remedies: false,
  ...changes,
})
const kindsOf = (replies: readonly ChanceReply[]) =>
  replies.map(({ kind }) => kind).filter(kind => kind !== 'progress')

describe('answering a chance', () => {
  it('gives the chance first, then what goes otherwise, then remedies; its progress never falls', () => {
    const replies = [...answerChance(request({ whatIf: ['cut-short'], remedies: true }))]
    expect(kindsOf(replies)).to.deep.equal(['chance', 'what-if', 'remedies', 'done'])
    const shares = replies.flatMap(reply => (reply.kind === 'progress' ? [reply.share] : []))
    expect(shares).to.deep.equal(shares.toSorted((one, other) => one - other))
    expect(shares.at(-1)).to.be.closeTo(1, 1e-9)
  })

  it('gives a lower chance where it is cut short', () => {
    const replies = [...answerChance(request({ whatIf: ['cut-short', 'wide-seam'] }))]
    const [planned, changed] = ['chance', 'what-if'].map(kind =>
      replies.find(reply => reply.kind === kind),
    ) as { simulation: { chance: number } }[]
    expect(changed?.simulation.chance).to.be.below((planned?.simulation.chance ?? 0) - 0.2)
  })

  it('ends at once where the cover cannot be planned', () => {
    expect(
      kindsOf([...answerChance(request({ file: coverFile({ object: { kind: 'journal' } }) }))]),
    ).to.deep.equal(['done'])
  })
})

describe('running the latest request', () => {
  const ten = function* ({ id }: { readonly id: number }) {
    for (let step = 0; step < 10; step += 1) yield `${id}.${step}`
  }

  it('drops a request when another comes in between, or when it is cancelled', async () => {
    const posted: string[] = []
    let clock = 0
    let meanwhile: (() => void) | undefined
    const run = createLatestRunner(ten, (reply: string) => posted.push(reply), {
      now: () => (clock += 31),
      pause: async () => {
        await Promise.resolve()
        if (posted.length === 3) meanwhile?.()
      },
    })
    meanwhile = () => void run({ id: 2 })
    await run({ id: 1 })
    expect(posted.filter(reply => reply.startsWith('1'))).to.deep.equal(['1.0', '1.1', '1.2'])
    meanwhile = undefined
    await run({ id: 3 })
    expect(posted.filter(reply => reply.startsWith('3'))).to.have.length(10)
    posted.length = 0
    meanwhile = () => void run('cancel')
    await run({ id: 4 })
    expect(posted).to.have.length(3)
  })
})

describe('asking for a chance', () => {
  it('drops replies that come late', () => {
    const sent: (ChanceRequest | 'cancel')[] = []
    const port: WorkerPort<ChanceRequest, ChanceReply> = {
      postMessage: message => sent.push(message),
      terminate: () => undefined,
      onmessage: null,
    }
    const client = createChanceClient(() => port)
    const heard: string[] = []
    const reply = (id: number) =>
      port.onmessage?.({ data: { id, kind: 'done' } } as MessageEvent<ChanceReply>)
    client.ask(request(), () => heard.push('first'))
    client.ask(request(), () => heard.push('second'))
    reply(1)
    reply(2)
    client.cancel()
    reply(2)
    expect(heard).to.deep.equal(['second'])
    expect(sent.map(message => (message === 'cancel' ? message : message.id))).to.deep.equal([1, 2, 'cancel'])
  })
})
