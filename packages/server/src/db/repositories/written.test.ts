import { expect } from 'chai'
import { missed } from './written.js'

const row = {
  id: 'a',
  version: 4,
  file: { name: 'Weather diary', layers: [{ role: 'outer' }] },
  thingId: null,
}

describe('a write that found no row of its version', () => {
  it('finds nothing where there is nothing', () => {
    expect(missed(undefined, { thingId: null })).to.deep.equal({ kind: 'missing' })
    expect(missed(undefined)).to.deep.equal({ kind: 'missing' })
  })

  it('is none where the row says already all that was to be written, however deep', () => {
    const said = { file: { name: 'Weather diary', layers: [{ role: 'outer' }] }, thingId: null }
    expect(missed(row, said)).to.deep.equal({ kind: 'written', row })
    expect(missed(row, { thingId: null })).to.deep.equal({ kind: 'written', row })
  })

  it('is in conflict where anything of it differs, or where it cannot be said already', () => {
    const other = { file: { name: 'Weather diary', layers: [{ role: 'lining' }] }, thingId: null }
    expect(missed(row, other)).to.deep.equal({ kind: 'stale', current: row })
    expect(missed(row, { thingId: 'b' })).to.deep.equal({ kind: 'stale', current: row })
    expect(missed(row)).to.deep.equal({ kind: 'stale', current: row })
  })
})
