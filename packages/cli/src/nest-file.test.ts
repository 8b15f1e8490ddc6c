import { join } from 'node:path'
import { expect } from 'chai'
import { exitCodes } from './terminal.js'
import { nestFile } from './nest-file.js'

async function nestIn(request: unknown, args: readonly string[] = ['-']) {
  const written = { out: '', err: '' }
  let time = 0
  const code = await nestFile(
    args,
    {
      input: (async function* () {
        await Promise.resolve()
        yield JSON.stringify(request)
      })(),
      print: text => (written.out += text),
      complain: text => (written.err += text),
    },
    () => (time += 1),
  )
  return { code, ...written }
}

interface LayoutJson {
  readonly placements: readonly {
    readonly piece: string
    readonly cloth: string
    readonly x: { readonly mm: number }
  }[]
  readonly used: readonly { readonly cloth: string; readonly length: { readonly text: string } }[]
  readonly cutOrder?: readonly { readonly ruler: { readonly text: string } }[]
  readonly findings: readonly { readonly code: string; readonly severity: string }[]
}
const read = (out: string) => JSON.parse(out) as LayoutJson

const cloths = [{ id: 'yardage', width: '42 in' }]
const outer = { id: 'outer', width: '16 in', height: '10 in' }

describe('snowdrift nest', () => {
  it('lays out the example in docs: the pinned piece stays, the rest goes on the quarters', async () => {
    const example = join(import.meta.dirname, '../../../docs/layouts/two-quarters.json')
    const { code, out, err } = await nestIn(undefined, [example])
    expect([code, err]).to.deep.equal([exitCodes.done, ''])
    const { placements, used } = read(out)
    expect(placements.find(({ piece }) => piece === 'outer')).to.deep.include({
      cloth: 'yardage',
      x: { mm: 50.8 },
    })
    expect(used.map(({ cloth }) => cloth)).to.deep.equal(['yardage', 'quarter', 'quarter'])
    // The yardage is cut for the pinned piece alone: 10 in.
    expect(used[0]?.length.text).to.equal('10 in')
  })

  it('gives the order of cuts for the rotary cutter', async () => {
    const { out } = await nestIn({ cuts: 'rotary', cloths, pieces: [outer] })
    expect(read(out).cutOrder?.map(({ ruler }) => ruler.text)).to.deep.equal(['16 in'])
  })

  it('lays nothing over what is to be avoided, and says so where that leaves no room', async () => {
    const square = (width: string) => ({
      gap: '1/4 in',
      cloths: [
        {
          id: 'quarter',
          width: '18 in',
          length: '21 in',
          avoid: [{ x: '0', y: '10 in', width: '18 in', height: '1 in' }],
        },
      ],
      pieces: [{ id: 'pocket', width, height: '10 in', count: 2 }],
    })
    // 10 above the stain, 10 below: 10 + 1 + 10 = 21.
    const { code, out } = await nestIn(square('18 in'))
    expect(code).to.equal(exitCodes.done)
    expect(read(out).used[0]?.length.text).to.equal('21 in')
    const none = await nestIn({
      ...square('18 in'),
      pieces: [{ id: 'outer', width: '18 in', height: '12 in' }],
    })
    expect(none.code).to.equal(exitCodes.cannotBeMade)
    expect(none.out).to.contain('avoid less of it')
    const beside = square('18 in')
    const { code: refused, err } = await nestIn({
      ...beside,
      cloths: beside.cloths.map(cloth => ({ ...cloth, avoid: [{ x: '19 in', y: 0, width: 1, height: 1 }] })),
    })
    expect(refused).to.equal(exitCodes.unusable)
    expect(err).to.equal(
      'cloths[0].avoid[0].x: “quarter” ends at 18 in; found a place to avoid that begins at 19 in.\n',
    )
  })

  it('exits 1 where a piece finds no place, and says which in the JSON', async () => {
    const { code, out } = await nestIn({ cloths, pieces: [{ ...outer, width: '45 in' }] })
    expect(code).to.equal(exitCodes.cannotBeMade)
    expect(read(out).findings).to.deep.include.members([
      {
        code: 'piece-too-large',
        severity: 'error',
        message: 'outer goes onto no cloth: for yardage it is 3 in too wide.',
        hint: 'Take larger cloth, or join the piece from two: a join costs two seam allowances.',
      },
    ])
  })

  it('exits 2 with a line for each problem and nothing on standard output', async () => {
    const { code, out, err } = await nestIn({ cloths: [], pieces: [{ ...outer, turn: 'over' }] })
    expect([code, out]).to.deep.equal([exitCodes.unusable, ''])
    expect(err.trim().split('\n')).to.deep.equal([
      'cloths: Expected at least 1 entries, found an empty list.',
      'pieces[0].turn: Expected none, half or quarter, found “over”.',
    ])
    expect((await nestIn({}, [])).err).to.contain('Expected one file')
    expect((await nestIn({}, ['no-such.json'])).err).to.contain('there is no such file')
  })
})
