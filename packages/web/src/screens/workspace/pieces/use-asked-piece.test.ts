import { expect } from 'chai'
import type { Piece } from '@snowdrift/core'
import { pieceShown } from './use-asked-piece'

const named = (...ids: readonly string[]) => ids.map(id => ({ id }) as Piece)

describe('the piece that is pointed at in a picture', () => {
  it('is the one of that name', () => {
    expect(pieceShown('flap', named('outer', 'lining', 'flap'))).to.equal('flap')
  })

  it('is the outer ply of a faced flap', () => {
    expect(pieceShown('flap', named('outer', 'flap-outer', 'flap-facing'))).to.equal('flap-outer')
  })

  it('is the outer where the flap is turned back from it', () => {
    expect(pieceShown('flap', named('lining', 'outer'))).to.equal('outer')
  })

  it('is none where nothing is cut for what is shown', () => {
    expect(pieceShown('zip', named('lining', 'outer'))).to.equal(undefined)
  })
})
