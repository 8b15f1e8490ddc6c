import type { Face, Strip } from '../families/strip.js'
import { add, scale, subtract, type Length } from '../length/length.js'
import { rectangle, text, type Mark, type PathMark, type Point } from './drawing.js'
import { scooped } from './scooped.js'
import { isHidden } from './turn-over.js'

/** Pockets, straps and flaps that sit on the strip; what is on the other side is drawn as hidden. */
export function drawShapes({ shapes }: Strip, face: Face, unit: Length, plain: boolean): readonly Mark[] {
  return shapes.flatMap(({ at, width, height, piece, name, face: on, scoop }): readonly Mark[] => {
    const outline = (style: 'hidden' | 'pocket', fill?: 'pocket') => {
      const whole = rectangle(at, width, height, { style, piece, ...(fill && { fill }) })
      return scoop ? scooped(whole, { at, width, scoop }) : whole
    }
    if (isHidden(on, face)) return [outline('hidden')]
    const fits = width > scale(unit, name.length * 1.3) && height > scale(unit, 4)
    const label: Point = [add(at[0], scale(width, 1 / 2)), add(at[1], scale(height, 1 / 2))]
    return [outline('pocket', 'pocket'), ...(fits && !plain ? [text(label, name, { size: 'small' })] : [])]
  })
}

export function drawHoles({ holes }: Strip): readonly Mark[] {
  return holes.map(({ at: [x, y], diameter }): PathMark => {
    const radius = scale(diameter, 1 / 2)
    const left: Point = [subtract(x, radius), y]
    const right: Point = [add(x, radius), y]
    return {
      kind: 'path',
      start: left,
      steps: [
        { to: right, radius, clockwise: true },
        { to: left, radius, clockwise: true },
      ],
      closed: true,
      style: 'hole',
      fill: 'none',
    }
  })
}
