import type { Ply } from '../families/section.js'
import { sayThickness } from '../finding/say.js'
import { add, longest, ratio, scale, subtract, type Length } from '../length/length.js'
import { rectangle, text, type Mark, type Point } from './drawing.js'
import { fillOf } from './ply-fill.js'

/** The plies from the outer cloth down to the object, all enlarged alike, each with its name and thickness. */
export function drawDetail(
  plies: readonly Ply[],
  [left, top]: Point,
  width: Length,
  unit: Length,
): { readonly marks: readonly Mark[]; readonly height: Length } {
  const total = add(...plies.map(ply => ply.thickness))
  const times = Math.max(1, Math.floor(ratio(scale(unit, 6 * plies.length), total)))
  const room = scale(unit, 5)
  let y = add(top, scale(unit, 5))
  let labelY = y
  const marks = plies.toReversed().flatMap((ply): readonly Mark[] => {
    const thick = scale(ply.thickness, times)
    const at: Point = [left, y]
    const baseline = add(y, scale(thick, 1 / 2), scale(unit, 1.2))
    labelY = baseline > add(labelY, room) || labelY === y ? baseline : add(labelY, room)
    y = add(y, thick)
    return [
      rectangle(at, scale(width, 0.3), thick, { style: 'edge', fill: fillOf(ply.role), piece: ply.role }),
      text([add(left, scale(width, 0.33)), labelY], `${ply.name || ply.role}, ${thicknessOf(ply)}`, {
        align: 'start',
        size: 'small',
      }),
    ]
  })
  const bottom = add(longest(y, labelY), scale(unit, 2))
  const title = text([left, add(top, scale(unit, 2.5))], `the layers, ${times} times as thick`, {
    align: 'start',
    size: 'small',
  })
  return { marks: [title, ...marks], height: subtract(bottom, top) }
}

function thicknessOf({ thickness, pressed }: Ply): string {
  return sayThickness(thickness).replace(' ', '\u00a0') + (pressed ? ' pressed' : '')
}
