import type { CautionId } from './step.js'

/** Safety, short, where the hand is. Source: docs/craft.md, Safety. */
export const cautionWords: Readonly<Record<CautionId, string>> = {
  blades:
    'Cut away from yourself along a metal ruler, fingers behind it; shut the blade when you put it down.',
  'hot-iron': 'The iron, its steam and a ruler that lay under it burn.',
  needles: 'Never sew over pins, zip teeth, buttons or board without glasses; a needle breaks.',
  punches: 'Punch and awl on a block, the other hand never beneath or behind.',
  glue: 'Air the room, read the label; sealers and sprays above all.',
  flame: 'Singeing needs water at hand; fray sealer is safer.',
  magnets: 'Magnets: away from children, cards, implants and devices.',
  'small-parts': 'Cords and small parts are nothing for small children.',
  devices:
    'Never charge or run a device hot in a padded case; it is no protection from a fall, and zips and buttons scratch.',
  'stiff-spine': 'Never force a stiff spine.',
  'vinyl-iron': 'No iron on vinyl.',
  'wet-boards': 'No wet board on pages: waxed paper between.',
  'old-books': 'An old or valuable book: no glue; ask a conservator.',
}
