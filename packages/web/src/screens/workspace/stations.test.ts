import type { CoverFile } from '@snowdrift/core'
import { expect } from 'chai'
import { coverFile } from '../../testing/files.js'
import { plannedOf } from '../../views/planned.js'
import { worstVerdict } from '../../views/verdict-words.js'
import { stateOf, stationOf, stationOfPlace, stations } from './stations.js'

const statesOf = (file: CoverFile) =>
  Object.fromEntries(stations.map(station => [station, stateOf(station, plannedOf(file))]))

describe('the stations of a cover', () => {
  it('are settled where nothing is to be said', () => {
    expect(statesOf(coverFile())).to.deep.equal({
      measure: 'settled',
      'make-up': 'settled',
      layers: 'settled',
      fit: 'settled',
      pieces: 'settled',
      layout: 'settled',
      make: 'settled',
      log: 'settled',
    })
  })

  it('wait for the tape', () => {
    const file = coverFile({ object: { kind: 'hardcover', readings: { height: ['9'] } } })
    expect(statesOf(file)).to.deep.equal({
      measure: 'waits',
      'make-up': 'waits',
      layers: 'settled',
      fit: 'waits',
      pieces: 'waits',
      layout: 'waits',
      make: 'waits',
      log: 'waits',
    })
  })

  it('are open where something stands that nobody can read, and nothing is planned from it', () => {
    const readings = { height: ['238'], width: ['6 5/8'], thickness: ['1 3/16'], boardThickness: ['1/8'] }
    const refused = coverFile({ object: { kind: 'hardcover', readings } })
    expect(plannedOf(refused).plan).to.equal(undefined)
    expect(statesOf(refused)).to.include({ measure: 'waits', pieces: 'waits', layout: 'waits' })
    expect(statesOf(coverFile({ options: { flapDepth: '3 1/' } }))).to.include({
      measure: 'settled',
      'make-up': 'waits',
      layers: 'settled',
    })
    expect(statesOf(coverFile({ layers: [{ role: 'outer', name: 'cloth', thickness: 'thin' }] }))).to.include(
      { layers: 'waits', measure: 'settled' },
    )
  })

  it('say that readings disagree before they are enough for a plan', () => {
    const swapped = coverFile({
      object: { kind: 'hardcover', readings: { height: ['6 5/8'], width: ['9 3/8'] } },
    })
    expect(plannedOf(swapped).findings.map(({ code }) => code)).to.deep.equal(['sides-swapped'])
    const right = coverFile({
      object: { kind: 'hardcover', readings: { height: ['9 3/8'], width: ['6 5/8'] } },
    })
    expect(plannedOf(right).findings).to.deep.equal([])
  })

  it('wait from the layout on where a piece comes out at nothing: there is nothing to cut', () => {
    // the outer is cut some 3 in high; 1 3/4 in off at head and tail leave nothing of the padding
    const small = coverFile({
      object: { kind: 'hardcover', readings: { height: ['2 1/2'], width: ['6 5/8'], thickness: ['1'] } },
      layers: [
        { role: 'padding', thickness: '3 mm', inset: '1 3/4' },
        { role: 'outer', thickness: '0.28 mm' },
      ],
    })
    expect(plannedOf(small).findings.map(({ code }) => code)).to.include('piece-too-small')
    expect(statesOf(small)).to.include({ pieces: 'error', layout: 'waits', make: 'waits', log: 'waits' })
  })

  it('say the gravest of what they have to say, each its own', () => {
    const file = coverFile({
      object: {
        kind: 'hardcover',
        readings: { height: ['9 3/8'], width: ['6 5/8'], thickness: ['1'], wrap: ['14 3/4'] },
      },
      sizing: { mode: 'rule', measure: 'wrap', addWidth: '1/4', addHeight: '1 1/2' },
    })
    // wrap-disagrees and board-assumed at the tape; will-not-go in the fit
    expect(statesOf(file)).to.deep.equal({
      measure: 'warning',
      'make-up': 'settled',
      layers: 'settled',
      fit: 'error',
      pieces: 'settled',
      layout: 'settled',
      make: 'settled',
      log: 'settled',
    })
  })
})

describe('planning a file', () => {
  it('is done once for the same file', () => {
    const file = coverFile()
    expect(plannedOf(file)).to.equal(plannedOf(file))
    expect(plannedOf(structuredClone(file))).not.to.equal(plannedOf(file))
  })

  it('gives issues for a file that cannot be read, and what is missing for one that waits', () => {
    expect(plannedOf(coverFile({ family: 'tent' })).issues.map(({ path }) => path)).to.deep.equal(['family'])
    expect(plannedOf(coverFile({ object: { kind: 'notebook' } })).missing).to.have.length(2)
    // what was taken and cannot be read is not asked for again
    const object = { kind: 'notebook' as const, readings: { height: ['238'] } }
    const { missing, issues } = plannedOf(coverFile({ object }))
    expect([missing.length, issues.length]).to.deep.equal([1, 1])
  })

  it('speaks for the whole cover with the worse of its directions', () => {
    const { plan } = plannedOf(
      coverFile({ sizing: { mode: 'computed', easeWidth: '5 mm', easeHeight: '40 mm' } }),
    )
    expect(worstVerdict(plan?.fits ?? [])).to.equal('baggy')
    expect(worstVerdict([])).to.equal(undefined)
  })

  it('have each a kind of finding to see to, and know where a place of the file is typed', () => {
    const places = [
      'objects[1].kind',
      'object.spine',
      'layers[0].role',
      'trial.width',
      'options.seam',
      'name',
    ]
    expect(places.map(stationOfPlace)).to.deep.equal([
      'measure',
      'measure',
      'layers',
      'fit',
      'make-up',
      'make-up',
    ])
    const abouts = ['reading:height', 'layer:outer', 'fit:width', 'piece:outer', 'extra:0', 'seam'] as const
    const data = {} as never
    expect(abouts.map(about => stationOf({ code: 'no-closure', about, data }))).to.deep.equal([
      'measure',
      'layers',
      'fit',
      'pieces',
      'make-up',
      'make-up',
    ])
  })
})
