import { subtract, zero } from '../../length/length.js'
import { readingWords } from '../../object/reading-words.js'
import type { Slip } from '../../object/slips.js'
import type { ReadingFindings } from '../data/reading-findings.js'
import type { SayLength } from '../say.js'
import type { WordsOf } from './words-of.js'

export const readingFindingWords: WordsOf<ReadingFindings> = {
  'wrap-impossible': ({ wrap, boards }, say) => ({
    message: `The wrap reads ${say(wrap)}, but the two boards alone take ${say(boards)}.`,
    hint: 'Read the tape again: wrap goes from one fore-edge over the spine to the other, width across one board only.',
  }),
  'wrap-disagrees': ({ wrap, expected, slip }, say) => ({
    message: `The wrap reads ${say(wrap)}; twice the width and the spine make ${say(expected)}.`,
    hint: slip
      ? describeSlip(slip, say)
      : wrap > expected
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
  'readings-spread': ({ reading, smallest, largest, slip }, say) => ({
    message: `${readingWords[reading].name} was read from ${say(smallest)} to ${say(largest)}, ${say(subtract(largest, smallest))} apart.`,
    hint: slip
      ? describeSlip(slip, say)
      : 'If the thing is out of square, leave it: the largest counts. Otherwise take out the reading that slipped.',
  }),
  'board-assumed': ({ assumed }, say) => ({
    message:
      assumed > zero
        ? `No board was measured; ${say(assumed)} is assumed.`
        : 'No board was measured; none is counted.',
    hint: 'Pinch one cover board at its fore-edge and enter its thickness.',
  }),
  'thickness-assumed': ({ assumed }, say) => ({
    message: `Nobody measured how thick it is; ${say(assumed)} is taken, as such things are.`,
    hint: 'Good enough for most. Where it must sit snug, lay a ruler beside it, its bumper on.',
  }),
  'width-unknown': ({ width }, say) => ({
    message: `Nobody measured a board: ${say(width)} is taken, half of the wrap with nothing left for the spine.`,
    hint: 'The flaps rest on it. One board, measured from spine to fore-edge, settles it.',
  }),
  'thickness-unknown': ({ assumed }, say) => ({
    message: `Nobody measured the thickness; ${say(assumed)} is reckoned from the wrap.`,
    hint: 'The gusset is as wide as the book is thick. Measure it closed, at the spine, under a light hand.',
  }),
}

function describeSlip({ kind, reading, read, rather }: Slip, say: SayLength): string {
  const name = readingWords[reading].name
  return `${name} at ${say(rather)} instead of ${say(read)} would agree: ${slipWords[kind]}`
}

const slipWords: Readonly<Record<Slip['kind'], string>> = {
  'tape-end':
    'as if the tape had been begun at its first mark instead of its end. Read it again from the end.',
  eighth: 'as if an eighth had been taken for a sixteenth, or the other way round. Count the marks again.',
  sagging:
    'as if the leaf block had hung down while the spine was read. Stand the book upright and read it again.',
}
