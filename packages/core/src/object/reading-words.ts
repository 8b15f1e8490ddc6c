import type { ReadingKey, ReadingState } from './reading.js'

export interface ReadingWords {
  readonly name: string
  /** How the tape is laid. */
  readonly how: string
  /** How it is laid on a flat device, which has neither spine nor fore-edge. */
  readonly onDevice?: string
  /** How it is taken wrong again and again. */
  readonly slip: string
}

export const readingWords: Readonly<Record<ReadingKey, ReadingWords>> = {
  height: {
    name: 'Height',
    how: 'Head to tail along the spine edge of the cover, not of the pages.',
    onDevice: 'From the mouth of its case down.',
    slip: 'Not the pages: the boards stand out beyond them.',
  },
  width: {
    name: 'Width',
    how: 'Spine edge to fore-edge of one cover board.',
    onDevice: 'Along the mouth of its case.',
    slip: 'Not from the hinge: from the very edge of the spine.',
  },
  thickness: {
    name: 'Thickness',
    how: 'Closed, at the spine, covers included, under a light hand.',
    onDevice: 'With its bumper on. Without calipers, a wrap gives it.',
    slip: 'Not at the fore-edge, and not pressed flat.',
  },
  wrap: {
    name: 'Wrap',
    how: 'Tape round the closed book: front fore-edge, over the spine, to the back fore-edge. Keep the leaf block upright. A device: from one edge across it, round the other edge and back behind; its thickness follows.',
    slip: 'Not while the leaf block sags: the spine reads too small then.',
  },
  openWidth: {
    name: 'Open width',
    how: 'Lying open and flat, fore-edge to fore-edge.',
    slip: 'Not while a side still stands up.',
  },
  boardThickness: {
    name: 'Board thickness',
    how: 'One cover board, pinched at its fore-edge.',
    slip: 'Not with leaves between the fingers.',
  },
  coilDiameter: {
    name: 'Coil diameter',
    how: 'Outside, of a coil or disc that stands proud of the covers.',
    slip: 'Not the hole in it: from outside to outside.',
  },
  pageWidth: {
    name: 'Page width',
    how: 'A bare page, fold to fore-edge, without tabs or lace.',
    slip: 'Not over a tab that stands out.',
  },
  pageHeight: {
    name: 'Page height',
    how: 'A bare page, head to tail.',
    slip: 'Not one page alone: the longest of them counts.',
  },
  contentsThickness: {
    name: 'Contents thickness',
    how: 'All inserts pressed lightly: the larger of spine and fore-edge.',
    slip: 'Not at one edge alone.',
  },
  grooveDepth: {
    name: 'Hinge groove',
    how: 'How deep the groove beside the spine goes.',
    slip: 'Not down from the crown of the spine: from the board.',
  },
  cornerRadius: {
    name: 'Corner radius',
    how: 'The rounding of the outer corners.',
    slip: 'Not only where it is roundest: to where the edges are straight.',
  },
}

export const readingStateWords: Readonly<Record<ReadingState, string>> = {
  closed: 'closed and wrapped',
  'open-flat': 'open flat',
  'lying-flat': 'lying flat',
  'off-a-wrapped-piece': 'off a piece wrapped on the thing',
  filled: 'filled',
  emptied: 'emptied',
  'standard-size': 'taken from a table of standard sizes',
  'another-copy': 'on another copy of it',
}
