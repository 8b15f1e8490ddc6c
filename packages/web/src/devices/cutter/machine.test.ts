import { expect } from 'chai'
import { createSimulatedCutter, usualCutter } from './machine.js'
import { readDxf } from './read-dxf.js'
import { readHpgl } from './read-hpgl.js'
import { readOutline } from './read-outline.js'

/** A rectangle of 100 × 50 mm to cut, a line of 100 mm to fold, one to stitch; 40 units to the millimetre. */
const hpgl =
  'IN;PA;\nSP3;PU0,400;PD4000,400;\nSP2;PU0,1000;PD4000,1000;\nSP1;PU0,0;PD4000,0,4000,2000,0,2000,0,0;PU0,0;SP0;\n'

describe('the simulated cutting machine', () => {
  it('follows a plotter file: pens are layers, places are fortieths of a millimetre', () => {
    const { strokes, ignored } = readHpgl(hpgl)
    expect(strokes.map(({ layer }) => layer)).to.deep.equal(['stitch', 'fold', 'cut'])
    expect(strokes[2]?.places).to.deep.equal([
      [0, 0],
      [100, 0],
      [100, 50],
      [0, 50],
      [0, 0],
    ])
    expect(ignored).to.deep.equal([])
    expect(readHpgl('IN;LBwords;SP7;PU0,0;PD40,0;').strokes[0]?.layer).to.equal('pen 7')
    expect(readHpgl('IN;LBwords;').ignored).to.deep.equal(['the command LB'])
  })

  it('says how long it takes, and which layers it has no tool for', () => {
    const run = createSimulatedCutter(usualCutter).cut(readHpgl(hpgl))
    expect(run.missed).to.deep.equal(['stitch'])
    expect(run.over).to.deep.equal({ left: 0, bottom: 0, right: 0, top: 0 })
    // fold 100 mm, cut 2 × (100 + 50) mm
    expect(run.cutMm).to.equal(400)
    // at 40 mm a second; up to 25 mm and then from (100, 25) to (0, 0) at 150; two lifts
    expect(run.seconds).to.be.closeTo(400 / 40 + (25 + Math.hypot(100, 25)) / 150 + 2 * 0.25, 1e-9)
    const blunt = createSimulatedCutter({ ...usualCutter, isBlunt: true }).cut(readHpgl(hpgl))
    expect(blunt.cutMm).to.equal(800)
  })

  it('says what lies outside its bed, and by how much', () => {
    const small = { ...usualCutter, bed: { width: 80, height: 50 } }
    const run = createSimulatedCutter(small).cut(readHpgl(hpgl))
    expect(run.over).to.deep.equal({ left: 0, bottom: 0, right: 20, top: 0 })
    expect(run.strokes.map(({ isOver }) => isOver)).to.deep.equal([true, true, true])
    const exact = createSimulatedCutter({ ...small, bed: { width: 100, height: 50 } }).cut(readHpgl(hpgl))
    expect(exact.strokes.some(({ isOver }) => isOver)).to.equal(false)
  })

  it('stands still where the connection breaks, and says how far it came', () => {
    const run = createSimulatedCutter({ ...usualCutter, breaksAfter: 0.5 }).cut(readHpgl(hpgl))
    expect([run.done, run.cutMm]).to.deep.equal([0.5, 100])
  })

  it('follows the arcs of a drawing exchange file, in the unit that it says', () => {
    const entity = (...pairs: readonly (number | string)[]) => pairs.join('\n')
    const dxf = [
      entity(0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, 1, 0, 'ENDSEC'),
      entity(0, 'SECTION', 2, 'ENTITIES'),
      // half a circle over an inch, to the left of its way: its bulge is 1
      entity(0, 'LWPOLYLINE', 8, 'cut', 90, 2, 70, 0, 10, 0, 20, 0, 42, 1, 10, 1, 20, 0),
      entity(0, 'TEXT', 8, 'mark', 10, 0, 20, 0, 40, 1, 1, 'name'),
      entity(0, 'ENDSEC', 0, 'EOF'),
    ].join('\n')
    const { strokes, ignored } = readDxf(`${dxf}\n`)
    const [stroke] = strokes
    const lowest = Math.min(...(stroke?.places ?? []).map(([, y]) => y))
    // half an inch down
    expect(lowest).to.be.closeTo(-12.7, 0.001)
    expect(stroke?.places.at(-1)?.[0]).to.be.closeTo(25.4, 1e-9)
    expect(ignored).to.deep.equal(['1 × TEXT'])
  })

  it('refuses in a sentence what it cannot read', async () => {
    const why = async (text: string) => {
      try {
        await readOutline(text)
        return 'taken'
      } catch (error) {
        expect((error as Error).name).to.equal('Unreadable')
        return (error as Error).message
      }
    }
    expect(await why('%PDF-1.7')).to.match(/Expected SVG, DXF or HPGL/)
    expect(await why('')).to.match(/none of them/)
    expect(await why('IN;PU1;')).to.match(/in pairs behind PU, found “1”/)
    expect(await why('IN;PD1,x;')).to.match(/in pairs behind PD/)
    expect(await why('0\nSECTION\n2\nENTITIES\n0\nLWPOL')).to.match(/cut short/)
    expect(await why(`IN;${' '.repeat(5 * 1024 * 1024)}`)).to.match(/at most 5 MB/)
  })
})
