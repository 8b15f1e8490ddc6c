import type { Ply } from '../families/section.js'
import { sayThickness } from '../finding/say.js'
import { add, longest, ratio, scale, subtract, type Length } from '../length/length.js'
import { rectangle, text, type Mark, type Point } from './drawing.js'
import { fillOf } from './ply-fill.js'
import { wrapWords } from './wrap-words.js'

/** So many letters have room beside the plies; what is longer goes on in the line below. */
const lettersBeside = 28

/** The plies from the outer cloth down to the object, all enlarged alike, each with its name and thickness. */
export function drawDetail(
  plies: readonly Ply[],
  [left, top]: Point,
  width: Length,
  unit: Length,
): { readonly marks: readonly Mark[]; readonly height: Length } {
  const total = add(...plies.map(ply => ply.thickness))
  const times = Math.max(1, Math.floor(ratio(scale(unit, 6 * plies.length), total)))
  const line = scale(unit, 5)
  let y = add(top, scale(unit, 5))
  /** The baseline of the label before. */
  let above = subtract(y, line)
  const marks = plies.toReversed().flatMap((ply): readonly Mark[] => {
    const thick = scale(ply.thickness, times)
    const at: Point = [left, y]
    const words = wrapWords(`${ply.name || ply.role}, ${thicknessOf(ply)}`, lettersBeside)
    const middle = add(y, scale(thick, 1 / 2), scale(unit, 1.2))
    const first = longest(subtract(middle, scale(line, (words.length - 1) / 2)), add(above, line))
    above = add(first, scale(line, words.length - 1))
    y = add(y, thick)
    return [
      rectangle(at, scale(width, 0.3), thick, { style: 'edge', fill: fillOf(ply.role), piece: ply.role }),
      ...words.map((part, index) =>
        text([add(left, scale(width, 0.33)), add(first, scale(line, index))], part, {
          align: 'start',
          size: 'small',
        }),
      ),
    ]
  })
  const bottom = add(longest(y, above), scale(unit, 2))
  const title = text([left, add(top, scale(unit, 2.5))], `the layers, ${times} times as thick`, {
    align: 'start',
    size: 'small',
  })
  return { marks: [title, ...marks], height: subtract(bottom, top) }
}

function thicknessOf({ thickness, pressed }: Ply): string {
  return sayThickness(thickness).replace(' ', '\u00a0') + (pressed ? ' pressed' : '')
}
