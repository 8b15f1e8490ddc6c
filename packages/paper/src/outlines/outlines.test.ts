import { mm, zero, type Drawing, type PathMark } from '@snowdrift/core'
import { expect } from 'chai'
import DxfParser from 'dxf-parser'
import { exportCover } from '../export-cover.js'
import { madeFrom } from '../testing/made.js'
import { arrange } from './arrange.js'
import { writeHpgl } from './hpgl.js'
import { placesAlong, segmentsOf } from './segments.js'
import { escapeXml, writeSvg } from './svg.js'

const text = async (...args: Parameters<typeof exportCover>) =>
  new TextDecoder().decode(await exportCover(...args))

interface Polyline {
  readonly type: string
  readonly layer: string
  readonly shape?: boolean
  readonly vertices: readonly { readonly x: number; readonly y: number; readonly bulge?: number }[]
}
const polylines = (dxf: string) =>
  ((new DxfParser().parseSync(dxf)?.entities ?? []) as unknown as readonly Polyline[]).filter(
    ({ type }) => type === 'LWPOLYLINE',
  )
const spanOf = (values: readonly number[]) => Math.max(...values) - Math.min(...values)

describe('outlines for machines', () => {
  const planner = madeFrom('rota-planner')
  const outer = planner.plan.pieces[0]

  it('are true to scale as DXF, cut lines on a layer of their own, corners as arcs', async () => {
    const lines = polylines(await text('dxf', planner))
    const cut = lines.filter(({ layer }) => layer === 'cut')
    expect(cut).to.have.length(planner.plan.pieces.length)
    const [first] = cut
    expect(spanOf(first?.vertices.map(({ x }) => x) ?? [])).to.be.closeTo((outer?.width.cut ?? 0) / 320, 0.01)
    expect(spanOf(first?.vertices.map(({ y }) => y) ?? [])).to.be.closeTo(
      (outer?.height.cut ?? 0) / 320,
      0.01,
    )
    // quarter turns clockwise: −tan(90° / 4)
    const bulges = first?.vertices.flatMap(({ bulge }) => (bulge ? [bulge] : [])) ?? []
    expect(bulges).to.have.length(4)
    for (const bulge of bulges) expect(bulge).to.be.closeTo(-Math.tan(Math.PI / 8), 1e-6)
    expect(new Set(lines.map(({ layer }) => layer))).to.include.members(['cut', 'stitch', 'mark'])
  })

  it('stand in millimetres as SVG, a group for each layer', async () => {
    const svg = await text('svg', planner)
    const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 \1 \2"/.exec(svg) ?? []
    expect(Number(width)).to.be.greaterThan((outer?.width.cut ?? 0) / 320)
    expect(Number(height)).to.be.greaterThan(100)
    for (const layer of ['cut', 'fold', 'stitch', 'mark']) expect(svg).to.include(`<g id="${layer}"`)
  })

  it('escape what a name may hold', async () => {
    const nasty = '</title><script>alert(1)</script> & "so"\u0000'
    const svg = await text('svg', madeFrom('cable-pouch', { name: nasty }))
    expect(svg).not.to.include('<script')
    expect(svg).to.include('&lt;script&gt;alert(1)&lt;/script&gt; &amp; &quot;so&quot;')
    expect(escapeXml('a\u0007b\ud800c')).to.equal('abc')
    const csv = await text('csv', madeFrom('cable-pouch'))
    expect(csv.split('\r\n')[0]).to.match(/^list,id,name/)
  })

  it('go to a plotter in fortieths of a millimetre, y up, what is cut last', () => {
    const square: Drawing = {
      title: 'square',
      from: [zero, zero],
      width: mm(20),
      height: mm(20),
      marks: [
        { kind: 'line', from: [mm(1), mm(1)], to: [mm(1), mm(19)], style: 'cut' },
        { kind: 'line', from: [mm(2), mm(2)], to: [mm(4), mm(2)], style: 'fold' },
        { kind: 'text', at: [mm(5), mm(5)], text: 'not plotted', align: 'start', size: 'normal' },
      ],
    }
    expect(writeHpgl(square).trim().split('\n')).to.deep.equal([
      'IN;PA;',
      'SP2;',
      'PU80,720;PD160,720;',
      'SP1;',
      'PU40,760;PD40,40;',
      'PU0,0;SP0;',
    ])
    expect(writeSvg(square)).to.include('not plotted')
  })
})

describe('lines in parts', () => {
  const half: PathMark = {
    kind: 'path',
    start: [zero, zero],
    steps: [{ to: [mm(20), zero], radius: mm(10), clockwise: true }],
    closed: true,
    style: 'cut',
    fill: 'none',
  }

  it('come back to their start where they are closed', () => {
    const segments = segmentsOf(half)
    expect(segments.map(({ kind }) => kind)).to.deep.equal(['arc', 'straight'])
    expect(segments[1]?.to).to.deep.equal([0, 0])
  })

  it('go round their middle, clockwise over the top', () => {
    const [arc] = segmentsOf(half)
    if (arc?.kind !== 'arc') throw new Error('No arc')
    expect(arc.middle[0]).to.be.closeTo(10, 1e-9)
    const places = placesAlong(arc)
    // with y down, clockwise from the left goes over the top
    expect(Math.min(...places.map(([, y]) => y))).to.be.closeTo(-10, 0.01)
    for (const [x, y] of places) expect(Math.hypot(x - 10, y)).to.be.closeTo(10, 1e-6)
    expect(places.at(-1)).to.deep.equal([20, 0])
  })

  it('lie side by side without overlapping, in rows', () => {
    const drawing = (width: number): Drawing => ({
      title: '',
      from: [zero, zero],
      width: mm(width),
      height: mm(50),
      marks: [{ kind: 'line', from: [zero, zero], to: [mm(width), zero], style: 'cut' }],
    })
    const { marks, width, height } = arrange('all', [drawing(600), drawing(300), drawing(500)])
    const starts = marks.map(mark => (mark.kind === 'line' ? mark.from.map(at => at / 320) : []))
    // 10 apart: 10 + 600 + 10 = 620, then 930 + 500 has no room in a metre
    expect(starts).to.deep.equal([
      [10, 10],
      [620, 10],
      [10, 70],
    ])
    expect([width / 320, height / 320]).to.deep.equal([930, 130])
  })
})

describe('the list as a table', () => {
  it('has a line for each piece and notion, in the unit and in millimetres', async () => {
    const made = madeFrom('hut-ledger')
    const lines = (await text('csv', made)).trim().split('\r\n')
    const toBuy = lines.filter(line => line.startsWith('to buy,'))
    expect(toBuy[0]).to.match(/^to buy,outer,.*,1,42 in,13 1\/2 in,1066.8,342.9/)
    expect(lines).to.have.length(1 + made.plan.pieces.length + made.plan.notions.length + toBuy.length)
    expect(lines[1]).to.include('piece,').and.to.include('15 3/4 in,10 3/8 in,400.05,263.525')
  })

  it('makes no formula of what a cloth is called', async () => {
    const made = madeFrom('hut-ledger')
    const stack = made.cover.stack.map(layer => ({ ...layer, name: '=HYPERLINK("x")' }))
    const csv = await text('csv', { ...made, cover: { ...made.cover, stack } })
    expect(csv).to.include('"\'=HYPERLINK(""x"")"')
    expect(csv).not.to.match(/,"?=HYPERLINK/)
  })
})
