import type { FlapPlies } from '../material/stand-off.js'
import { clothOf } from '../material/cut-from.js'
import { backingsOf, outerOf, type Layer } from '../material/layer.js'
import { add, type Length } from '../length/length.js'
import type { FlapStyle } from '../piece/flap.js'
import type { Job } from './contract.js'
import { plyOf, type Ply } from './section.js'

type Stacked = Pick<Job<unknown>, 'stack' | 'cutFrom'>

/** What a flap that is sewn on is made of. Who backs `flap` backs a faced one, too. */
export function flapPliesOf(job: Stacked, style: FlapStyle): FlapPlies {
  const { stack } = job
  const pieces = style === 'folded' ? ['flap'] : ['flap', 'flap-outer', 'flap-facing']
  const facing = style === 'faced' ? clothOf(job, 'flap-facing', 'lining') : undefined
  return {
    style,
    outer: clothOf(job, style === 'folded' ? 'flap' : 'flap-outer', 'outer') ?? outerOf(stack),
    ...(facing && { facing }),
    backings: [...new Set<Layer>(pieces.flatMap(piece => backingsOf(stack, piece)))],
  }
}

/** How thick a flap lies in a seam, unpressed. */
export function flapThickness({ style, outer, facing, backings }: FlapPlies): Length {
  const inner = style === 'folded' || !facing ? outer : facing
  return add(outer.thickness, inner.thickness, ...backings.map(({ thickness }) => thickness))
}

/** The plies of a flap as they are drawn, from the board outwards. */
export function drawnFlapPlies({ style, outer, facing, backings }: FlapPlies): readonly Ply[] {
  const inner = style === 'folded' ? outer : facing
  return [...(inner ? [inner] : []), ...backings, outer].map(plyOf)
}
