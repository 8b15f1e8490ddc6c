import { mm, zero } from '../../length/length.js'
import type { Layer } from '../layer.js'
import type { Role } from '../role.js'

/** A plain layer of so many millimetres for tests; what matters to a test is said in `traits`. */
export function layer(role: Role, thicknessMm: number, traits: Partial<Layer> = {}): Layer {
  return {
    role,
    name: role,
    thickness: mm(thicknessMm),
    squash: 0,
    stretchAlong: 0,
    stretchAcross: 0,
    shrinkage: 0,
    takeUp: 0,
    print: 'none',
    frays: 'none',
    seeThrough: 0,
    stiffness: 'soft',
    washed: false,
    fused: role === 'interfacing',
    backs: ['outer'],
    inset: zero,
    quilted: false,
    ...traits,
  }
}
