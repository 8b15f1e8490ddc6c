import { findFamily, listOptionFields } from '@snowdrift/core'
import { expect } from 'chai'
import { splitOptions } from './split-options'

const fieldsOf = (id: string) => listOptionFields(findFamily(id)?.options('in') ?? expect.fail(id))
const keysOf = (fields: ReturnType<typeof fieldsOf>) => fields.map(([key]) => key)

describe('the column of options', () => {
  it('is whole where it is short', () => {
    const fields = fieldsOf('slip-cover')
    expect(splitOptions(fields, () => false)).to.deep.equal({ shown: fields, more: [] })
  })

  it('keeps choices, what was stated and what something is said of; other lengths stand behind', () => {
    const { shown, more } = splitOptions(fieldsOf('board-cover'), key => key === 'gap')
    expect(keysOf(shown)).to.deep.equal(['sheets', 'gap', 'underlining', 'inserts', 'binding'])
    expect(keysOf(more)).to.deep.equal([
      ...['foreEdgeOverhang', 'headTailOverhang', 'sheetThickness', 'spineWidth', 'turnIn', 'turnInHeadTail'],
      ...['liningMargin', 'spineLiningOverlap', 'cord'],
    ])
  })

  it('loses none', () => {
    const fields = fieldsOf('zip-around')
    const { shown, more } = splitOptions(fields, () => false)
    expect([...shown, ...more]).to.have.same.members(fields)
    expect(more).to.not.deep.equal([])
  })
})
