import { expect } from 'chai'
import type { Drawing } from '../drawing/drawing.js'
import { families } from '../families/registry.js'
import { coverFrom, familyFile } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { toMm } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { usualHands } from './hands.js'
import { planSteps } from './plan-steps.js'
import { drawTechnique, techniqueIds, techniques, techniquesFor } from './technique-cards.js'

const placesOf = ({ marks }: Drawing) =>
  marks.map(mark => {
    const [x, y] = mark.kind === 'path' ? mark.start : mark.kind === 'line' ? mark.from : mark.at
    return [toMm(x), toMm(y)]
  })

describe('the cards of techniques', () => {
  it('say how, and are drawn within their field', () => {
    for (const id of techniqueIds) {
      const { how, name } = techniques[id]
      expect(how.length, id).to.be.at.least(3)
      const drawing = drawTechnique(techniques[id])
      expect(drawing.title).to.equal(`${name}. Not to scale`)
      for (const [x = -1, y = -1] of placesOf(drawing)) {
        expect(x, id).to.be.within(0, 100)
        expect(y, id).to.be.within(0, 52)
      }
    }
  })

  it('are mirrored for the left hand, their words the right way round', () => {
    const card = techniques['zip-ends']
    const [right, left] = [drawTechnique(card), drawTechnique(card, { mirrored: true })]
    const pull = (drawing: Drawing) =>
      drawing.marks.flatMap(mark => (mark.kind === 'text' && mark.text === 'pull' ? [toMm(mark.at[0])] : []))
    expect(pull(right)).to.deep.equal([47])
    expect(pull(left)).to.deep.equal([53])
    // the box of 6 that begins at 44 ends at 50: mirrored it begins there
    const box = (drawing: Drawing) =>
      drawing.marks.flatMap(mark => (mark.kind === 'path' ? [toMm(mark.start[0])] : []))
    expect([box(right), box(left)]).to.deep.equal([[44], [50]])
  })

  it('are all opened by some step', () => {
    const files = [
      ...families.map(({ id }) => familyFile(id)),
      familyFile('slip-cover', {
        extras: [{ type: 'handles' }],
        layers: [
          { role: 'padding', thickness: '3 mm', fused: true },
          { role: 'outer', thickness: '0.3 mm' },
        ],
      }),
      familyFile('sleeve', { options: { edge: 'bound' } }),
      familyFile('board-cover', { options: { binding: 'sewn' } }),
    ]
    const opened = files.flatMap(file => {
      const cover = coverFrom(file)
      const hands = { ...usualHands }
      return planSteps(cover, plan(cover), { say: sayPlainly('mm'), hands }).steps.flatMap(techniquesFor)
    })
    expect(techniqueIds.filter(id => !opened.includes(id))).to.deep.equal([])
  })
})
