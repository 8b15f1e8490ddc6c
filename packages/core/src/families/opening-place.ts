/** Where a seam is left open to turn the work through: in words, in the picture, and why it is left there. */
export const openingPlaces = {
  'lower-edge': {
    edge: 'bottom',
    where: 'in the lower edge, between the flaps',
    why: 'It is straight there, catches no flap, and the edge-stitch closes it where it shows least.',
  },
  'long-side': {
    edge: 'bottom',
    where: 'in a long side',
    why: 'It is straight there, and the edge-stitch along the folded flaps closes it.',
  },
  'straight-end': {
    edge: 'left',
    where: 'in the straight end',
    why: 'The other end is cut at its corners; the straight one folds inwards, and its stitching closes it.',
  },
  'beside-pocket': {
    edge: 'left',
    where: 'in a side, beside the pocket',
    why: 'The short ends hold the ties, the fold bends, the pocket’s edges carry it; a side is free beside the pocket.',
  },
  'lining-bottom': {
    edge: 'bottom',
    where: 'in the lining’s bottom',
    why: 'It ends up inside, where its seam shows to nobody.',
  },
  bottom: {
    edge: 'bottom',
    where: 'in the bottom',
    why: 'The zip is above, and the sides carry its ends.',
  },
  mouth: {
    edge: 'top',
    where: 'in the mouth, at the back beside its middle',
    why: 'The top-stitch round the mouth closes it; in the middle a loop may hang.',
  },
} as const
export type OpeningPlace = keyof typeof openingPlaces
