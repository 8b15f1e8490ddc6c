import { add, scale, subtract, type Length } from '../length/length.js'
import { line, text, type Mark, type Point } from './drawing.js'
import type { Dimension } from './strip-dimensions.js'

/**
 * A dimension line under a stretch: end marks, arrows and the size. `tick` is half the length of an end mark; `says`
 * names the dimension for whoever would change it in the picture.
 */
export function drawWidth(
  from: Point,
  to: Point,
  label: string,
  tick: Length,
  says?: Dimension,
): readonly Mark[] {
  const middle: Point = [scale(add(from[0], to[0]), 1 / 2), add(from[1], scale(tick, 3))]
  return [
    line(from, to, 'measure', 'both'),
    ...[from, to].map(([x, y]) => line([x, subtract(y, tick)], [x, add(y, tick)], 'measure')),
    text(middle, label, { size: 'small', ...(says && { says }) }),
  ]
}

/**
 * The same beside a stretch that runs up and down; the label stands to the right, turned, but where the stretch is too
 * short for it.
 */
export function drawHeight(
  from: Point,
  to: Point,
  label: string,
  tick: Length,
  says?: Dimension,
): readonly Mark[] {
  const middle: Point = [add(from[0], scale(tick, 3)), scale(add(from[1], to[1]), 1 / 2)]
  const short = to[1] - from[1] < tick * 18
  return [
    line(from, to, 'measure', short ? undefined : 'both'),
    ...[from, to].map(([x, y]) => line([subtract(x, tick), y], [add(x, tick), y], 'measure')),
    short
      ? text([add(from[0], scale(tick, 2)), middle[1]], label, {
          size: 'small',
          align: 'start',
          ...(says && { says }),
        })
      : text(middle, label, { size: 'small', turned: true, ...(says && { says }) }),
  ]
}
