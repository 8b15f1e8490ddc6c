import type { Section } from '../families/section.js'
import type { SayLength } from '../finding/say.js'
import { add, longest, mm, negate, scale, subtract, zero, type Length } from '../length/length.js'
import { drawHeight } from './dimension.js'
import { text, type Drawing, type Mark } from './drawing.js'
import { drawClosedBook } from './end-on-book.js'
import { drawClosedCase, reachOfCase } from './end-on-case.js'
import { drawOpenBook } from './end-on-open.js'
import { drawClosedPouch, drawOpenPouch } from './end-on-pouch.js'
import { drawDetail } from './stack-detail.js'

export interface EndOnView {
  readonly state?: 'closed' | 'open'
}

/**
 * The thing in its cover seen from its tail, closed unless said, every ply as thick as it is; beside it a stack
 * detail, enlarged, in which the plies can be told apart.
 */
export function drawEndOn(section: Section, say: SayLength, { state = 'closed' }: EndOnView = {}): Drawing {
  return state === 'closed' ? drawClosed(section, say) : drawOpen(section)
}

function drawClosed(section: Section, say: SayLength): Drawing {
  const { width, thickness, plies, rounded, closing } = section
  const bulk = add(...plies.map(ply => ply.thickness))
  const unit = scale(longest(width, scale(thickness, 2)), 1 / 100)
  const reach = add(reachOfCase(section), standOutOf(closing, bulk))
  const detailLeft = add(width, reach, scale(unit, 16))
  const detailTop = subtract(negate(reach), scale(unit, 4))
  const detailWidth = scale(unit, 96)
  const detail = drawDetail(plies, [detailLeft, detailTop], detailWidth, unit)
  const bulge = rounded ? scale(thickness, 0.17) : zero
  const dimension = add(width, reach, scale(unit, 3))
  const thick = section.thicknessUnknown ? 'thickness not measured' : say(thickness)
  return {
    title: section.title,
    plainCloth: true,
    from: [subtract(negate(reach), add(scale(unit, 5), bulge)), subtract(negate(reach), scale(unit, 7))],
    width: add(detailLeft, detailWidth, reach, scale(unit, 5), bulge),
    height: add(longest(add(thickness, scale(reach, 2)), detail.height), scale(unit, 14)),
    marks: [
      ...thingClosed(section),
      ...nameSides(section, reach, unit),
      ...drawHeight([dimension, zero], [dimension, thickness], thick, scale(unit, 0.8)),
      ...detail.marks,
    ],
  }
}

/** How far the plies, a seam or a gusset stand out beyond the thing. */
function standOutOf(closing: Section['closing'], bulk: Length): Length {
  switch (closing) {
    case 'open':
      return bulk
    case 'seam':
      return add(bulk, mm(3))
    case 'over':
      return scale(bulk, 2)
    case 'zip':
      return add(scale(bulk, 3), mm(1))
  }
}

function thingClosed(section: Section): readonly Mark[] {
  if (section.boards) return drawClosedCase(section)
  return section.closing === 'seam' ? drawClosedPouch(section) : drawClosedBook(section)
}

function nameSides({ width, thickness }: Section, reach: Length, unit: Length): readonly Mark[] {
  const middle = scale(width, 0.5)
  return [
    text([middle, subtract(negate(reach), scale(unit, 2.6))], 'front', { size: 'small' }),
    text([middle, add(thickness, reach, scale(unit, 4.4))], 'back', { size: 'small' }),
  ]
}

function drawOpen(section: Section): Drawing {
  const { width, thickness, plies, overlap = zero, boards } = section
  const bulk = add(...plies.map(ply => ply.thickness))
  const pouch = section.closing === 'seam'
  const wide = pouch ? width : add(scale(add(width, boards?.overhang ?? zero), 2), thickness, overlap)
  const high = pouch ? scale(add(thickness, bulk), 4) : add(thickness, bulk, boards?.thickness ?? zero)
  const unit = scale(wide, 1 / 100)
  const top = pouch ? scale(high, -0.4) : negate(high)
  return {
    title: pouch ? 'The walls apart, the device between them' : 'The cover lying open, seen from the tail',
    plainCloth: true,
    from: [scale(unit, -4), subtract(top, scale(unit, 4))],
    width: add(wide, scale(unit, 8)),
    height: add(high, scale(unit, 12)),
    marks: [
      ...(pouch ? drawOpenPouch(section) : drawOpenBook(section)),
      text(
        [scale(wide, 0.25), add(pouch ? add(top, high) : zero, scale(unit, 4))],
        pouch ? 'back wall' : 'back',
        {
          size: 'small',
        },
      ),
      text(
        [scale(wide, 0.75), pouch ? subtract(top, scale(unit, 1)) : scale(unit, 4)],
        pouch ? 'front wall' : 'front',
        { size: 'small' },
      ),
    ],
  }
}
