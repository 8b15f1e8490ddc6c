import { expect } from 'chai'
import { inches, mm } from '../length/length.js'
import type { CuttingGroup } from './group.js'
import { whichWillDo } from './which-will-do.js'

const piece = (id: string, wide: number, high: number) => ({
  id,
  label: id,
  coverId: '',
  piece: id,
  copy: 1,
  width: inches(wide),
  height: inches(high),
  turn: 'none' as const,
})
const group: CuttingGroup = {
  key: 'outer',
  role: 'outer',
  material: '',
  thickness: mm(0.3),
  shrinkage: 0,
  washed: true,
  print: 'none',
  pieces: [piece('outer', 16, 10), piece('flap', 7, 10)],
}
const sheet = (id: string, wide: number, high: number) => ({
  id,
  width: inches(wide),
  length: inches(high),
  washed: true,
})

describe('which pieces of cloth will do', () => {
  it('says of each how much of it goes on it, the whole first', () => {
    // 16 + ¼ + 7 = 23 ¼ across, or 10 + ¼ + 10 = 20 ¼ along
    const found = whichWillDo(
      group,
      [sheet('narrow', 10, 40), sheet('tall', 16, 21), sheet('scrap', 5, 5), sheet('wide', 24, 10)],
      { cuts: 'scissors', unit: 'in' },
    )
    expect(found).to.deep.equal([
      { sheet: 'tall', takes: 2, of: 2 },
      { sheet: 'wide', takes: 2, of: 2 },
      { sheet: 'narrow', takes: 1, of: 2 },
    ])
  })

  it('counts what the wash leaves of it', () => {
    const shrinking = { ...group, shrinkage: 10, washed: false }
    const unwashed = { ...sheet('wide', 24, 10), washed: false }
    // 10 in shrink to 9
    expect(whichWillDo(shrinking, [unwashed], { cuts: 'scissors', unit: 'in' })).to.deep.equal([])
  })
})
