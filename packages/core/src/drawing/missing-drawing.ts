import { placePanels, type Strip } from '../families/strip.js'
import type { SayLength } from '../finding/say.js'
import { add, longest, scale, shortest, subtract, zero, type Length } from '../length/length.js'
import { line, rectangle, text, type Drawing, type Mark, type Point } from './drawing.js'
import { drawStrip } from './strip-drawing.js'

/** What is lacking each way for a cover to go on; nothing where it does. */
export interface Missing {
  readonly width: Length
  readonly height: Length
}

/**
 * The strip laid flat with what it lacks hatched, to scale, and how much that is: at the right end of its body, for flaps
 * do not count, and along its lower edge.
 */
export function drawMissing(strip: Strip, { width, height }: Missing, say: SayLength): Drawing {
  const drawing = drawStrip(strip, say, { plain: true })
  const body = placePanels(strip.panels).filter(({ kind }) => kind !== 'flap')
  const left = body[0]?.x ?? zero
  const last = body.at(-1)
  const right = last ? add(last.x, last.width) : zero
  const total = subtract(right, left)
  const unit = scale(longest(total, scale(strip.height, 2)), 1 / 100)
  const wide = shortest(width, total)
  const high = shortest(height, strip.height)
  return {
    ...drawing,
    title: titleOf({ width, height }, say),
    height: add(drawing.height, high > zero ? scale(unit, 5) : zero),
    marks: [
      ...drawing.marks,
      ...(wide > zero ? hatch([subtract(right, wide), zero], wide, strip.height, unit) : []),
      ...(high > zero ? hatch([left, subtract(strip.height, high)], total, high, unit) : []),
      ...(wide > zero
        ? [
            text(
              [subtract(right, add(wide, scale(unit, 3))), scale(strip.height, 1 / 2)],
              `${say(width)} missing`,
              {
                turned: true,
              },
            ),
          ]
        : []),
      ...(high > zero
        ? [
            text(
              [add(left, scale(total, 1 / 2)), add(strip.height, scale(unit, 4))],
              `${say(height)} missing`,
            ),
          ]
        : []),
    ],
  }
}

function titleOf({ width, height }: Missing, say: SayLength): string {
  const lacks = [
    ...(width > zero ? [`${say(width)} in width`] : []),
    ...(height > zero ? [`${say(height)} in height`] : []),
  ]
  return lacks.length > 0 ? `The cover laid flat; it lacks ${lacks.join(' and ')}` : 'The cover laid flat'
}

/** A frame filled with strokes rising to the right, each cut off at the frame. */
function hatch([left, top]: Point, width: Length, height: Length, unit: Length): readonly Mark[] {
  const pitch = scale(unit, 1.5)
  const count = Math.floor((width + height) / pitch)
  const strokes = Array.from({ length: count }, (_, index) => {
    const along = scale(pitch, index + 1)
    const from: Point = [add(left, longest(zero, subtract(along, height))), add(top, shortest(height, along))]
    const to: Point = [add(left, shortest(width, along)), add(top, longest(zero, subtract(along, width)))]
    return line(from, to, 'missing')
  })
  return [rectangle([left, top], width, height, { style: 'missing', fill: 'missing' }), ...strokes]
}
