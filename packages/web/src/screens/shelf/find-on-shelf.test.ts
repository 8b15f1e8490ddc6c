import type { ShelfEntry } from '@snowdrift/core'
import { expect } from 'chai'
import { everything, findOnShelf, type Sought } from './find-on-shelf'
import { sayDue } from './say-due'

const entry = (name: string, of: Partial<ShelfEntry> = {}): ShelfEntry => ({
  id: name,
  version: 1,
  updatedAt: '2026-11-01T10:00:00.000Z',
  name,
  family: 'slip-cover',
  kind: 'hardcover',
  thing: null,
  thingId: null,
  cloths: [],
  state: 'draft',
  due: null,
  archived: false,
  planned: false,
  pinned: null,
  ...of,
})

const shelf = [
  entry('Hut ledger', { thing: 'Ledger of the hut', cloths: ['Spruce cotton'], state: 'made' }),
  entry('star atlas', { cloths: ['Night canvas'], due: '2026-12-20', updatedAt: '2026-11-20T10:00:00.000Z' }),
  entry('Rota 10', { family: 'zip-around', due: '2026-12-01', state: 'bench' }),
  entry('Rota 9', { family: 'zip-around', archived: true }),
]

const names = (sought: Partial<Sought>) =>
  findOnShelf(shelf, { ...everything, ...sought }).map(({ name }) => name)

describe('finding on the shelf', () => {
  it('shows what is not put away, as it comes', () => {
    expect(names({})).to.deep.equal(['Hut ledger', 'star atlas', 'Rota 10'])
    expect(names({ archived: true })).to.deep.equal(['Rota 9'])
  })

  it('finds every word in name, thing or cloth, whatever its capitals', () => {
    expect(names({ text: 'LEDGER spruce' })).to.deep.equal(['Hut ledger'])
    expect(names({ text: 'night' })).to.deep.equal(['star atlas'])
    expect(names({ text: 'ledger night' })).to.deep.equal([])
  })

  it('finds by state and by way of making', () => {
    expect(names({ state: 'bench' })).to.deep.equal(['Rota 10'])
    expect(names({ family: 'slip-cover' })).to.deep.equal(['Hut ledger', 'star atlas'])
  })

  it('puts in order: by name without capitals, by date with the undated last, by change, by how far', () => {
    expect(names({ order: 'name' })).to.deep.equal(['Hut ledger', 'Rota 10', 'star atlas'])
    expect(names({ order: 'due' })).to.deep.equal(['Rota 10', 'star atlas', 'Hut ledger'])
    expect(names({ order: 'changed' })[0]).to.equal('star atlas')
    expect(names({ order: 'state' })).to.deep.equal(['star atlas', 'Rota 10', 'Hut ledger'])
  })
})

describe('by when a cover is wanted', () => {
  const on = new Date(2026, 10, 29, 23, 30)
  it('is said in days', () => {
    expect(sayDue('2026-11-29', on)).to.equal('wanted today')
    expect(sayDue('2026-11-30', on)).to.equal('wanted tomorrow')
    expect(sayDue('2026-12-05', on)).to.equal('wanted in 6 days')
    expect(sayDue('2026-11-28', on)).to.equal('was wanted yesterday')
    expect(sayDue('2026-11-19', on)).to.equal('was wanted 10 days ago')
  })
})
