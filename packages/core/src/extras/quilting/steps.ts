import { toMm } from '../../length/length.js'
import { has, sizeMm } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import { quiltPanel } from '../../make/single-layer.js'
import { customary } from '../../length/unit.js'
import type { Length } from '../../length/length.js'
import type { ExtraWork } from '../contract.js'

/** Lines through outer and padding; a panel that is quilted with its layers has them already. */
export function steps(work: ExtraWork<{ readonly pitch?: Length | undefined }>): readonly Draft[] {
  if (work.pieces.some(({ id, trimTo }) => (id === 'outer' || id === 'padding') && trimTo)) return []
  const pitch = work.options.pitch ?? customary(3 / 2, work.unit)
  const { wide, high } = sizeMm(work, 'outer')
  return quiltPanel(work, {
    piece: 'outer',
    ...(has(work, 'padding') && { padding: 'padding' }),
    lines: { count: Math.max(1, Math.floor(wide / toMm(pitch))), mmEach: high, pitch },
  })
}
