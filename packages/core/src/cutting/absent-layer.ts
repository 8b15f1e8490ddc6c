import { zero } from '../length/length.js'
import type { Layer } from '../material/layer.js'
import type { Role } from '../material/role.js'

/** What is assumed of a material that no layer names, such as the card of a pastedown: nothing of note. */
export function absentLayer(role: Role): Layer {
  return {
    role,
    name: '',
    thickness: zero,
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
    fused: false,
    backs: [],
    inset: zero,
    quilted: false,
  }
}
