import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from 'chai'
import { inches, mm, zero } from '../length/length.js'
import { nest } from '../nest/nest.js'
import { layoutToJson } from './layout-json.js'
import { layoutRequestJsonSchema, readLayoutRequest } from './layout-request.js'

const good = {
  cuts: 'scissors',
  cloths: [{ id: 'yardage', width: '42 in' }],
  pieces: [{ id: 'outer', width: '16 in', height: '10 in' }],
}
const issuesOf = (input: unknown) => {
  const read = readLayoutRequest(input)
  return read.ok ? [] : read.issues.map(({ path, message }) => `${path}: ${message}`)
}
const piece = (changes: object) => ({ ...good, pieces: [{ ...good.pieces[0], ...changes }] })

describe('reading a layout request', () => {
  it('fills in what is not said: a quarter inch for scissors, nothing for the rotary cutter', () => {
    const read = readLayoutRequest(good)
    expect(read.ok && read.value.request).to.deep.equal({
      cuts: 'scissors',
      gap: inches(1 / 4),
      budgetMs: 500,
      seed: 1,
      cloths: [{ id: 'yardage', width: inches(42), count: 1 }],
      pieces: [{ id: 'outer', width: inches(16), height: inches(10), count: 1, turn: 'none' }],
    })
    const rotary = readLayoutRequest({ ...good, cuts: 'rotary', unit: 'mm' })
    expect(rotary.ok && rotary.value.request.gap).to.equal(zero)
    const metric = readLayoutRequest({ ...good, unit: 'mm' })
    expect(metric.ok && metric.value.request.gap).to.equal(mm(6))
  })

  it('names what is wrong and what would do', () => {
    expect(issuesOf({ ...good, cloths: [] })).to.deep.equal([
      'cloths: Expected at least 1 entries, found an empty list.',
    ])
    expect(issuesOf({ ...good, cloths: [{ id: 'a', width: '42 in', length: '0' }] })[0]).to.match(
      /^cloths\[0\]\.length: .*too small/,
    )
    expect(issuesOf(piece({ count: 1_000_000 }))).to.deep.equal([
      'pieces[0].count: Expected at most 2000, found 1000000.',
    ])
    expect(issuesOf({ ...good, glue: true })).to.deep.equal([
      'glue: “glue” is not known here. Take it out, or check its spelling.',
    ])
    expect(issuesOf({ ...good, cloths: [{ id: 'a', width: '42 in', count: 2 }] })).to.deep.equal([
      'cloths[0].count: A cloth without a length has no end: expected 1, found 2.',
    ])
    expect(issuesOf({ ...good, pieces: [...good.pieces, ...good.pieces] })).to.deep.equal([
      'pieces[1].id: There is “outer” already; each needs a name of its own.',
    ])
  })

  it('takes where the print is to run on, and names what cannot be meant', () => {
    const pieces = ['back', 'front'].map(id => ({ id, width: '10 in', height: '12 in' }))
    const places = [
      { piece: 'back', x: '0', y: '0' },
      { piece: 'front', x: '9 1/2', y: '1' },
    ]
    const asked = (matches: unknown) => ({ ...good, pieces, matches })
    const read = readLayoutRequest(asked([{ pieces: places, along: '5 in' }]))
    expect(read.ok && read.value.request.matches).to.deep.equal([
      {
        pieces: [
          { piece: 'back', x: zero, y: zero },
          { piece: 'front', x: inches(9.5), y: inches(1) },
        ],
        along: inches(5),
      },
    ])
    expect(issuesOf(asked([{ pieces: places }]))).to.deep.equal([
      'matches[0].along: Expected how often the print comes again along the cloth, or across it; found neither.',
    ])
    const [back] = places
    expect(issuesOf(asked([{ pieces: [back, { ...back, piece: 'flap' }], along: '5 in' }]))).to.deep.equal([
      'matches[0].pieces[1].piece: There is no piece “flap” to match.',
    ])
    expect(issuesOf(asked([{ pieces: [back, back], along: '5 in' }]))).to.deep.equal([
      'matches[0].pieces[1].piece: “back” is matched already; put all of it into one match.',
    ])
    expect(issuesOf(asked([{ pieces: places, along: '0' }]))[0]).to.match(/^matches\[0\]\.along: .*too small/)
  })

  it('warns where the print does not run on, and by how much; not where it does', () => {
    const findings = (length: string) => {
      const read = readLayoutRequest({
        cloths: [{ id: 'strip', width: '12 in', length }],
        gap: '0',
        pieces: ['back', 'front'].map(id => ({ id, width: '10 in', height: '12 in' })),
        matches: [
          {
            pieces: [
              { piece: 'back', x: '0', y: '0' },
              { piece: 'front', x: '9 1/2', y: '0' },
            ],
            along: '5 in',
          },
        ],
      })
      if (!read.ok) throw new Error(read.issues[0]?.message)
      let time = 0
      const layout = nest(read.value.request, () => (time += 10))
      return layoutToJson(layout, read.value.request, 'in').findings.map(({ code, message }) => [
        code,
        message,
      ])
    }
    // One after the other 12 apart: 2 beyond two repeats of 5. With 27 of cloth the second goes on to 15.
    expect(findings('26 in')).to.deep.equal([
      ['print-misses', 'The print does not run on from back to front: it misses by 2 in along the cloth.'],
    ])
    expect(findings('27 in')).to.deep.equal([])
  })

  it('counts all pieces together', () => {
    const many = Array.from({ length: 3 }, (_, index) => ({ ...good.pieces[0], id: `p${index}`, count: 700 }))
    expect(issuesOf({ ...good, pieces: many })).to.deep.equal([
      'pieces: Expected at most 2000 pieces in all, found 2100. Lay them in parts.',
    ])
  })

  it('refuses pins off the cloth, over one another, turned against the grain, or on no cloth', () => {
    const at = (x: string, y: string, more: object = {}) => ({ pin: { cloth: 'yardage', x, y, ...more } })
    expect(issuesOf(piece(at('30 in', '0')))).to.deep.equal([
      'pieces[0].pin: Pinned there it goes over the edge of “yardage” by 4 in. Pin it further in.',
    ])
    expect(issuesOf(piece(at('0', '0', { turned: true })))).to.deep.equal([
      'pieces[0].pin.turned: This piece may not be turned by a quarter, and is pinned so.',
    ])
    expect(issuesOf(piece({ pin: { cloth: 'silk', x: '0', y: '0' } }))).to.deep.equal([
      'pieces[0].pin.cloth: There is no cloth “silk”. Known: yardage.',
    ])
    const two = {
      ...good,
      pieces: ['0', '15 in'].map((x, index) => ({ ...good.pieces[0], id: `p${index}`, ...at(x, '0') })),
    }
    expect(issuesOf(two)).to.deep.equal(['pieces[1].pin: “p1” is pinned over “p0”. Move one of them.'])
    const apart = {
      ...good,
      pieces: ['0', '17 in'].map((x, index) => ({ ...good.pieces[0], id: `p${index}`, ...at(x, '0') })),
    }
    expect(issuesOf(apart)).to.deep.equal([])
  })

  it('takes places to avoid, and refuses one beyond the edge or under a pin', () => {
    const stained = (avoid: unknown, more: object = {}) => ({
      ...piece(more),
      cloths: [{ id: 'quarter', width: '18 in', length: '21 in', avoid }],
    })
    const read = readLayoutRequest(stained([{ x: '1 in', y: 0, width: '2 in', height: '30 in' }]))
    expect(read.ok && read.value.request.cloths[0]?.avoid).to.deep.equal([
      { x: inches(1), y: zero, width: inches(2), height: inches(30) },
    ])
    expect(issuesOf(stained([{ x: '18 in', y: '22 in', width: '1 in', height: '1 in' }]))).to.deep.equal([
      'cloths[0].avoid[0].x: “quarter” ends at 18 in; found a place to avoid that begins at 18 in.',
      'cloths[0].avoid[0].y: “quarter” ends at 21 in; found a place to avoid that begins at 22 in.',
    ])
    expect(issuesOf(stained([{ x: '0', y: '0', width: '0', height: '1 in' }]))[0]).to.match(
      /^cloths\[0\]\.avoid\[0\]\.width: .*too small/,
    )
    const pinned = { pin: { cloth: 'quarter', x: '2 in', y: '0' } }
    const spot = (x: string) => stained([{ x, y: '9 in', width: '1 in', height: '1 in' }], pinned)
    expect(issuesOf(spot('3 in'))).to.deep.equal([
      'pieces[0].pin: “outer” is pinned over a place of “quarter” that is to be avoided. Move it, or let that place be used.',
    ])
    // 2 in beside the piece: 0 to 1 is free of it
    expect(issuesOf(spot('1 in'))).to.deep.equal([])
  })

  it('refuses pins that no edge-to-edge cut parts, for the rotary cutter only', () => {
    const pinwheel = (cuts: string) => ({
      cuts,
      gap: '0',
      cloths: [{ id: 'square', width: '4 in', length: '4 in' }],
      pieces: [
        { id: 'a', width: '3 in', height: '1 in', pin: { cloth: 'square', x: '0', y: '0' } },
        { id: 'b', width: '1 in', height: '3 in', pin: { cloth: 'square', x: '3 in', y: '0' } },
        { id: 'c', width: '3 in', height: '1 in', pin: { cloth: 'square', x: '1 in', y: '3 in' } },
        { id: 'd', width: '1 in', height: '3 in', pin: { cloth: 'square', x: '0', y: '1 in' } },
      ],
    })
    expect(issuesOf(pinwheel('rotary'))[0]).to.match(/^pieces: What is pinned on “square” cannot be parted/)
    expect(issuesOf(pinwheel('scissors'))).to.deep.equal([])
  })
})

describe('the JSON Schema of a layout request', () => {
  it('in docs is the one that is read by', () => {
    const docs = join(import.meta.dirname, '../../../../docs/layout-request.schema.json')
    expect(JSON.parse(readFileSync(docs, 'utf8')), 'run npm run schema').to.deep.equal(
      layoutRequestJsonSchema(),
    )
  })
})

describe('a layout as JSON', () => {
  const laid = (input: unknown) => {
    const read = readLayoutRequest(input)
    if (!read.ok) throw new Error(read.issues[0]?.message)
    const { request, unit } = read.value
    return layoutToJson(
      nest(request, () => Infinity),
      request,
      unit,
    )
  }

  it('gives millimetres to four decimals and the length in words', () => {
    const { placements, used, unplaced } = laid(good)
    expect(placements).to.deep.equal([
      {
        piece: 'outer',
        copy: 1,
        cloth: 'yardage',
        sheet: 1,
        x: { mm: 0 },
        y: { mm: 0 },
        width: { mm: 406.4 },
        height: { mm: 254 },
        turned: false,
      },
    ])
    expect(used[0]).to.deep.include({
      cloth: 'yardage',
      length: { mm: 254, text: '10 in' },
      bound: { mm: 254 },
    })
    expect(unplaced).to.deep.equal([])
  })

  it('has an order of cuts for the rotary cutter only', () => {
    expect(laid(good)).not.to.have.property('cutOrder')
    // 16 off the 42 wide: one cut along, at 16.
    expect(laid({ ...good, cuts: 'rotary' }).cutOrder).to.have.length(1)
  })

  it('says what goes onto no cloth, by how much, and offers a join', () => {
    const { findings, unplaced } = laid(piece({ width: '45 in' }))
    expect(unplaced).to.deep.equal([{ piece: 'outer', copy: 1, why: 'too-large' }])
    expect(findings).to.deep.equal([
      {
        code: 'piece-too-large',
        severity: 'error',
        message: 'outer goes onto no cloth: for yardage it is 3 in too wide.',
        hint: 'Take larger cloth, or join the piece from two: a join costs two seam allowances.',
      },
    ])
  })

  it('counts what had no room', () => {
    const small = { ...piece({ count: 3 }), cloths: [{ id: 'q', width: '18 in', length: '21 in' }] }
    expect(laid(small).findings.map(({ message }) => message)).to.deep.equal(['There is no room for outer.'])
  })
})
