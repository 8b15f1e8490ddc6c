import { subtract, zero } from '../length/length.js'
import { readingWords } from '../object/reading-words.js'
import type { SayLength } from './say.js'
import type { Direction, Finding, FindingCode, FindingData, RecipeChange } from './finding.js'

export interface FindingText {
  /** What was expected and what came. */
  readonly message: string
  /** What to do. */
  readonly hint: string
}

type Words = { [Code in FindingCode]: (data: FindingData[Code], say: SayLength) => FindingText }

/** The words of a finding in the maker's units. */
export function describeFinding(finding: Finding, say: SayLength): FindingText {
  const describe = words[finding.code] as (data: Finding['data'], say: SayLength) => FindingText
  return describe(finding.data, say)
}

const words: Words = {
  'wrap-impossible': ({ wrap, boards }, say) => ({
    message: `The wrap reads ${say(wrap)}, but the two boards alone take ${say(boards)}.`,
    hint: 'Read the tape again: wrap goes from one fore-edge over the spine to the other, width across one board only.',
  }),
  'wrap-disagrees': ({ wrap, expected }, say) => ({
    message: `The wrap reads ${say(wrap)}; twice the width and the spine make ${say(expected)}.`,
    hint:
      wrap > expected
        ? 'A slack tape, or a spine read too small while the leaf block sagged. Stand the book upright and read both again.'
        : 'A tape that slipped off a fore-edge, or the width of an open cover. Read both again.',
  }),
  'open-closed-differ': ({ open, wrap }, say) => ({
    message: `Open it reads ${say(open)}, wrapped closed ${say(wrap)}.`,
    hint: 'The cover is worn closed, so the wrap counts. If the two should agree, one of them was misread.',
  }),
  'open-only': ({ thickness }, say) => ({
    message: `A book ${say(thickness)} thick was measured open only.`,
    hint: 'Closed it may want more cloth over the spine. Wrap the tape round the closed book and enter that too.',
  }),
  'sides-swapped': ({ width, height }, say) => ({
    message: `It is wider (${say(width)}) than it is high (${say(height)}).`,
    hint: 'Some things are. If yours stands upright, height and width changed places.',
  }),
  'readings-spread': ({ reading, smallest, largest }, say) => ({
    message: `${readingWords[reading].name} was read from ${say(smallest)} to ${say(largest)}, ${say(subtract(largest, smallest))} apart.`,
    hint: 'If the thing is out of square, leave it: the largest counts. Otherwise take out the reading that slipped.',
  }),
  'board-assumed': ({ assumed }, say) => ({
    message:
      assumed > zero
        ? `No board was measured; ${say(assumed)} is assumed.`
        : 'No board was measured; none is counted.',
    hint: 'Pinch one cover board at its fore-edge and enter its thickness.',
  }),
  'flap-too-deep': ({ depth, deepest }, say) => ({
    message: `The flaps are ${say(depth)} deep; the board takes ${say(deepest)} at the most.`,
    hint: `A flap that reaches the hinge strains it. Take ${say(deepest)} or less.`,
  }),
  'will-it-go-in': ({ depth, deepest }, say) => ({
    message: `The covers do not fold back, and flaps ${say(depth)} deep are more than half the board.`,
    hint: `The boards could not be slid in without bending. Take ${say(deepest)} or less.`,
  }),
  'opening-too-small': ({ left, wanted, deepest }, say) => ({
    message: `Between the flaps ${left > zero ? say(left) : 'nothing'} is left to turn the cover through; ${say(wanted)} is wanted.`,
    hint:
      deepest > zero
        ? `Flaps of ${say(deepest)} leave it.`
        : 'Leave the opening in a flap instead, or turn it before the flaps go on.',
  }),
  'recipe-changed': ({ recipe, changes }, say) => ({
    message: `The recipe “${recipe}” brings ${listOf(changes, 'recipe', say)}; this cover states ${listOf(changes, 'stated', say)}.`,
    hint: 'What the cover states wins. Clear it to follow the recipe.',
  }),
  'will-not-go': ({ direction, short, stretch }, say) => ({
    message: `The cover would be ${say(short)} too ${tooLittle(direction)}.`,
    hint: `The cloth gives ${stretch > zero ? `only ${say(stretch)}` : 'nothing'} there. Add at least ${say(short)}, or take thinner layers.`,
  }),
  'tight-but-goes': ({ direction, short, stretch }, say) => ({
    message: `The cover is ${say(short)} too ${tooLittle(direction)} and goes on only because the cloth gives ${say(stretch)}.`,
    hint: 'It strains the book and the seams. Add a little, or take thinner layers.',
  }),
  'drum-tight': ({ direction, ease }, say) => ({
    message: `Only ${say(ease)} of ease ${direction === 'width' ? 'round the book' : 'from top to bottom'}: drum-tight.`,
    hint: 'One seam sewn a hair wide and it will not go on. Sew exactly, or add a little.',
  }),
  baggy: ({ direction, ease, most }, say) => ({
    message: `${say(ease)} of ease ${direction === 'width' ? 'round the book' : 'from top to bottom'}: baggy.`,
    hint: `Above ${say(most)} it hangs slack. Take less ease, a smaller amount or another recipe.`,
  }),
  'piece-too-small': ({ piece, width, height }, say) => ({
    message: `The piece “${piece}” comes out at ${say(width)} × ${say(height)}: nothing is left to cut.`,
    hint: 'Its inset or allowance eats the whole piece. Take a smaller one.',
  }),
}

function tooLittle(direction: Direction): string {
  return direction === 'width' ? 'short to close round it' : 'low to slip over it'
}

function listOf(changes: readonly RecipeChange[], side: 'recipe' | 'stated', say: SayLength): string {
  return changes
    .map(change => {
      const value = change[side]
      return `${change.what} ${typeof value === 'string' ? value : say(value)}`
    })
    .join(', ')
}
