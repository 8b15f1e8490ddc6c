import type { Piece } from '../../piece/piece.js'
import { piled, type Joining } from '../joining.js'

/** Flaps first, then the pile that is sewn all round and turned. */
export function joinings(pieces: readonly Piece[]): readonly Joining[] {
  const has = (id: string) => pieces.some(piece => piece.id === id)
  const lining = has('lining')
  const faced = has('flap-outer')
  const flap = faced ? 'flap-outer' : 'flap'
  return [
    ...(faced
      ? [
          {
            id: 'face-flaps',
            name: 'Face each flap along its inner edge',
            layers: [piled('flap-outer', 'right side up'), piled('flap-facing', 'right side down')],
            edges: ['right'],
            how: 'stitch',
            seenFrom: 'the wrong side of the facing',
          } as const,
        ]
      : []),
    {
      id: 'close-round',
      name: 'Sew all round, flaps between, and turn',
      layers: [
        piled('outer', 'right side up'),
        piled(
          flap,
          'right side down',
          'both ends',
          faced ? 'flaps, faced side up' : 'flaps, folds to the middle',
        ),
        ...(lining ? [piled('lining', 'right side down')] : []),
        ...(has('interfacing')
          ? [piled('interfacing', 'right side down', undefined, 'interfacing, if not fused before')]
          : []),
        ...(has('padding') ? [piled('padding', 'right side down')] : []),
      ],
      edges: ['left', 'right', 'top', 'bottom'],
      how: 'stitch',
      opening: 'lower-edge',
      seenFrom: lining ? 'the wrong side of the lining' : 'the wrong side',
    },
  ]
}
