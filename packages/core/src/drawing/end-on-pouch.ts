import type { Section } from '../families/section.js'
import { add, mm, negate, scale, zero } from '../length/length.js'
import { line, rectangle, type Mark } from './drawing.js'
import { fillOf } from './ply-fill.js'

/** A device with the plies of both walls round it, outermost first, seams at both sides. */
export function drawClosedPouch({ width, thickness, plies }: Section): readonly Mark[] {
  const bulk = add(...plies.map(ply => ply.thickness))
  let out = bulk
  const rings = plies.toReversed().map(ply => {
    const ring = rectangle(
      [negate(out), negate(out)],
      add(width, scale(out, 2)),
      add(thickness, scale(out, 2)),
      {
        style: 'edge',
        fill: fillOf(ply.role),
        piece: ply.role,
      },
    )
    out = add(out, negate(ply.thickness))
    return ring
  })
  const middle = scale(thickness, 1 / 2)
  const seam = add(bulk, mm(3))
  return [
    ...rings,
    rectangle([zero, zero], width, thickness, { style: 'object', fill: 'board' }),
    line([negate(bulk), middle], [negate(seam), middle], 'seam'),
    line([add(width, bulk), middle], [add(width, seam), middle], 'seam'),
  ]
}

/** The walls apart, the device between them, ready to go in. */
export function drawOpenPouch({ width, thickness, plies }: Section): readonly Mark[] {
  const gap = add(scale(thickness, 0.8), mm(4))
  const wall = (from: 'above' | 'below') => {
    let y = from === 'above' ? negate(gap) : add(thickness, gap)
    return plies.map(ply => {
      const top = from === 'above' ? add(y, negate(ply.thickness)) : y
      y = from === 'above' ? top : add(y, ply.thickness)
      return rectangle([zero, top], width, ply.thickness, {
        style: 'edge',
        fill: fillOf(ply.role),
        piece: ply.role,
      })
    })
  }
  return [
    ...wall('above'),
    ...wall('below'),
    rectangle([zero, zero], width, thickness, { style: 'object', fill: 'board' }),
  ]
}
