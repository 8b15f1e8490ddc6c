import type { Piece } from '../../piece/piece.js'
import { piled, type Joining } from '../joining.js'

/** Turned through a long side, then the ends fold back; a single layer is folded on the book. */
export function joinings(pieces: readonly Piece[], single: boolean): readonly Joining[] {
  const has = (id: string) => pieces.some(piece => piece.id === id)
  if (single)
    return [foldFlaps('outer', 'Fold a flap, right sides together, and sew the line marked on the book')]
  return [
    {
      id: 'turn-strip',
      name: 'Sew outer and lining together and turn',
      layers: [
        piled('outer', 'right side up'),
        ...(has('lining') ? [piled('lining', 'right side down')] : []),
        ...(has('interfacing') ? [piled('interfacing', 'right side down')] : []),
        ...(has('padding') ? [piled('padding', 'right side down', 'middle')] : []),
      ],
      edges: ['left', 'right', 'top', 'bottom'],
      how: 'stitch',
      opening: 'long-side',
      seenFrom: 'the wrong side of the lining',
    },
    foldFlaps(
      has('lining') ? 'lining' : 'outer',
      'Fold the ends on the line set on the closed book and edge-stitch',
    ),
  ]
}

function foldFlaps(inside: string, name: string): Joining {
  return {
    id: 'fold-flaps',
    name,
    layers: [
      piled(inside, 'right side up', undefined, 'the cover, inside up'),
      piled('outer', 'right side up', 'both ends', 'its ends folded back'),
    ],
    edges: ['top', 'bottom'],
    how: 'stitch',
    seenFrom: 'the inside of the cover',
  }
}
