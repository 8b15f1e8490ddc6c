import type { ReadingKey, ReadingState } from './reading.js'

export interface ReadingWords {
  readonly name: string
  /** How the tape is laid. */
  readonly how: string
  /** How it is laid on a flat device, which has neither spine nor fore-edge. */
  readonly onDevice?: string
}

export const readingWords: Readonly<Record<ReadingKey, ReadingWords>> = {
  height: {
    name: 'Height',
    how: 'Head to tail along the spine edge of the cover, not of the pages.',
    onDevice: 'From the mouth of its case down.',
  },
  width: {
    name: 'Width',
    how: 'Spine edge to fore-edge of one cover board.',
    onDevice: 'Along the mouth of its case.',
  },
  thickness: {
    name: 'Thickness',
    how: 'Closed, at the spine, covers included, under a light hand.',
    onDevice: 'With its bumper on. Without calipers, a wrap gives it.',
  },
  wrap: {
    name: 'Wrap',
    how: 'Tape round the closed book: front fore-edge, over the spine, to the back fore-edge. Keep the leaf block upright. A device: from one edge across it, round the other edge and back behind; its thickness follows.',
  },
  openWidth: { name: 'Open width', how: 'Lying open and flat, fore-edge to fore-edge.' },
  boardThickness: { name: 'Board thickness', how: 'One cover board, pinched at its fore-edge.' },
  coilDiameter: {
    name: 'Coil diameter',
    how: 'Outside, of a coil or disc that stands proud of the covers.',
  },
  pageWidth: { name: 'Page width', how: 'A bare page, fold to fore-edge, without tabs or lace.' },
  pageHeight: { name: 'Page height', how: 'A bare page, head to tail.' },
  contentsThickness: {
    name: 'Contents thickness',
    how: 'All inserts pressed lightly: the larger of spine and fore-edge.',
  },
  grooveDepth: { name: 'Hinge groove', how: 'How deep the groove beside the spine goes.' },
  cornerRadius: { name: 'Corner radius', how: 'The rounding of the outer corners.' },
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
