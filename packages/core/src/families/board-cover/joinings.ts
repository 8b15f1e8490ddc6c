import { piled, type Joining } from '../joining.js'

/** Boards, cloth, lining: each dries under a weight before the next. */
export function joinings({ underlining }: { readonly underlining: boolean }): readonly Joining[] {
  return [
    {
      id: 'laminate',
      name: 'Laminate the sheets, marks inwards, grain head to tail',
      layers: [piled('board', 'right side down'), piled('board', 'right side up')],
      edges: [],
      how: 'glue',
      seenFrom: 'above; press under a weight',
    },
    {
      id: 'case-on-cloth',
      name: 'Spine in the middle, one board at the gap, then the other; fold to test each gap',
      layers: [
        piled('outer', 'right side down'),
        ...(underlining ? [piled('underlining', 'right side down')] : []),
        piled('spine-board', 'right side down', 'middle'),
        piled('board', 'right side down', 'both ends', 'boards'),
      ],
      edges: [],
      how: 'glue',
      seenFrom: 'the wrong side of the cloth',
    },
    {
      id: 'turn-in',
      name: 'Corners, then sides, then top and bottom',
      layers: [
        piled('board', 'right side down', undefined, 'boards on the cloth'),
        piled('outer', 'right side up', 'both ends', 'the turn-ins'),
      ],
      edges: ['left', 'right', 'top', 'bottom'],
      how: 'glue',
      seenFrom: 'the inside of the case',
    },
    {
      id: 'linings',
      name: 'Spine lining creased into the gaps, then a lining on each board',
      layers: [
        piled('board', 'right side down', undefined, 'the case, inside up'),
        piled('spine-lining', 'right side up', 'middle'),
        piled('lining', 'right side up', 'both ends', 'linings'),
      ],
      edges: ['left', 'right', 'top', 'bottom'],
      how: 'glue',
      seenFrom: 'the inside of the case',
    },
  ]
}
