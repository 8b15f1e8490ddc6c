import { negate, zero } from '../../length/length.js'
import type { MakeFindings, MendedSize, RecipeChange } from '../data/make-findings.js'
import type { SayLength } from '../say.js'
import type { WordsOf } from './words-of.js'

export const makeFindingWords: WordsOf<MakeFindings> = {
  'recipe-changed': ({ recipe, changes }, say) => ({
    message: `The recipe “${recipe}” brings ${listOf(changes, 'recipe', say)}; this cover states ${listOf(changes, 'stated', say)}.`,
    hint: 'What the cover states wins. Clear it to follow the recipe.',
  }),
  'piece-too-small': ({ piece, width, height }, say) => ({
    message: `The piece “${piece}” comes out at ${say(width)} × ${say(height)}: nothing is left to cut.`,
    hint: 'Its inset or allowance eats the whole piece. Take a smaller one.',
  }),
  'outside-usual': ({ label, value, least, most }, say) => ({
    message: `${label} is ${say(value)}; ${say(least)} to ${say(most)} is usual.`,
    hint: `It is planned as you say. ${value < least ? say(least) : say(most)} would be the nearest that is known to work.`,
  }),
  'spine-too-thin': ({ contents, inside, spine }, say) => ({
    message: `The contents are ${say(contents)} thick; closed, the spine takes ${say(inside)}.`,
    hint: `Take a spine of ${say(spine)} or more, or less inside.`,
  }),
  'gap-too-narrow': ({ gap, least }, say) => ({
    message: `The gap beside the spine is ${say(gap)}; the boards are ${say(least)} thick and could not fold.`,
    hint: `The cover would heave when it closes. Leave ${say(least)} at the very least.`,
  }),
  'gap-tight': ({ gap, comfortable }, say) => ({
    message: `The gap of ${say(gap)} closes, but hard; ${say(comfortable)} is comfortable.`,
    hint: 'Soft packaging board forgives it. Fold to test before the cloth goes on.',
  }),
  'gap-floppy': ({ gap, most }, say) => ({
    message: `The gap of ${say(gap)} is wide; above ${say(most)} the boards flop.`,
    hint: `Set the boards closer to the spine: ${say(most)} or less.`,
  }),
  'turn-in-tight': ({ turnIn, comfortable }, say) => ({
    message: `A turn-in of ${say(turnIn)} is hard to fold and to glue; ${say(comfortable)} is comfortable.`,
    hint: 'Cut the cloth larger if there is enough of it.',
  }),
  'turn-in-too-small': ({ turnIn, least, board }, say) => ({
    message:
      turnIn > board
        ? `A turn-in of ${say(turnIn)} leaves too little behind the board’s edge, which takes ${say(board)}; ${say(least)} is the least.`
        : `The cloth ends ${say(turnIn < zero ? negate(turnIn) : turnIn)} ${turnIn < zero ? 'short of' : 'beyond'} the boards’ outer edge; it must reach ${say(least)} beyond it, ${say(board)} of that over the edge itself.`,
    hint: `Cut the cloth larger, or the boards smaller, until ${say(least)} turns in.`,
  }),
  'print-over-fold': ({ join }, say) => ({
    message: 'The print has a top, and on one half of this case it stands on its head.',
    hint: `Cut the cloth in two halves and join them at the fold: ${say(join)} more in length.`,
  }),
  'punch-too-short': ({ hole, reach }, say) => ({
    message: `A hole lies ${say(hole)} from the nearest edge; your punch reaches ${say(reach)}.`,
    hint: 'Take a hole punch that is struck with a hammer, or an awl, on a cutting block.',
  }),
  'no-such-punch': ({ hole, nearest }, say) => ({
    message: `The holes are ${say.thin(hole)} across, and your punch makes none of that size.`,
    hint:
      nearest >= hole
        ? `Take ${say.thin(nearest)}: what goes through has more room.`
        : `Its largest is ${say.thin(nearest)}: punch twice side by side, or widen the hole with an awl.`,
  }),
  'board-too-thick': ({ board, most }, say) => ({
    message: `A sheet of board is ${say.thin(board)} thick; your paper cutter goes through ${say.thin(most)}.`,
    hint: 'Cut it with a knife along a metal ruler, in several light passes; or laminate thinner sheets.',
  }),
  'too-thick-for-foot': ({ seam, thickness, most }, say) => ({
    message: `The ${seam} is ${say.thin(thickness)} thick; ${say.thin(most)} goes under your presser foot.`,
    hint: 'Keep padding out of the seam, grade before you sew, or sew that stretch by hand.',
  }),
  'seam-too-thick': ({ seam, thickness, most }, say) => ({
    message: `The ${seam} catches ${say.thin(thickness)} of cloth; under the foot goes ${say.thin(most)}.`,
    hint: 'Trim the padding back to the stitching before the last pass, or take thinner layers.',
  }),
  'grade-seam': ({ seam, thickness }, say) => ({
    message: `The ${seam} catches ${say.thin(thickness)} of cloth.`,
    hint: 'Grade it: trim the inner plies to {⅛ in}, padding to the stitching.',
  }),
  'card-turned': ({ piece }) => ({
    message: `The sheet yields every ${piece} only where some lie across the grain.`,
    hint: 'Card linings take it; press them under a weight while they dry, and let none of them cross a fold.',
  }),
  'cloth-not-there': ({ piece, cloth, known }) => ({
    message: `The ${piece} is to be cut from “${cloth}”, and no layer or cloth of this cover is called that.`,
    hint: `${known.length > 0 ? `There is ${known.map(name => `“${name}”`).join(', ')}.` : 'It has no named cloth.'} Choose one, or name the cloth so.`,
  }),
  'piece-not-there': ({ piece, said, known }) => ({
    message: `${said} “${piece}”, and this cover has no such piece.`,
    hint: `It has ${known.join(', ')}.`,
  }),
  'sizes-mended': ({ pieces }, say) => {
    const size = ({ width, height }: MendedSize['now']) =>
      height === undefined ? say(width) : `${say(width)} × ${say(height)}`
    return {
      message: `The reckoning was mended since this cover was planned: ${pieces
        .map(
          ({ piece, before, now }) =>
            `${piece} ${size(now)} ${before ? `instead of ${size(before)}` : 'instead of none'}`,
        )
        .join('; ')}.`,
      hint: 'What is cut already still goes together if every piece is of the older plan. Do not mix the two.',
    }
  },
  'no-closure': ({ closures }) => ({
    message: 'Nothing holds it shut.',
    hint: `Add ${closures.join(' or ')}.`,
  }),
}

function listOf(changes: readonly RecipeChange[], side: 'recipe' | 'stated', say: SayLength): string {
  return changes
    .map(change => {
      const value = change[side]
      return `${change.what} ${typeof value === 'string' ? value : say(value)}`
    })
    .join(', ')
}
