import { add, longest, negate, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { deriveSpineArc, deriveWrap } from '../../object/derive.js'
import { largestReading } from '../../object/reading.js'
import type { Piece } from '../../piece/piece.js'
import { totalOf } from '../../piece/reason.js'
import type { Job } from '../contract.js'
import type { BothWays } from '../sized.js'
import {
  foldsBetween,
  plainStrip,
  placePanels,
  totalWidth,
  type Panel,
  type Strip,
  type StripLine,
} from '../strip.js'
import type { GluedWrapOptions, ResolvedOptions } from './options.js'

/** Back, hinge, spine, hinge, front; the turn-ins stand out all round, with slits at both ends of the spine. */
export function layStrip(
  job: Job<GluedWrapOptions>,
  pieces: readonly Piece[],
  { options, turnIns: out }: { readonly options: ResolvedOptions; readonly turnIns: BothWays<Length> },
): Strip {
  const { object } = job
  const panels = panelsOf(job, options)
  const high = largestReading(object, 'height') ?? zero
  const [outer] = pieces
  const total = totalWidth(panels)
  return {
    ...plainStrip(panels, high),
    cutPieces: outer
      ? [
          {
            piece: 'outer',
            at: [negate(out.width), negate(out.height)],
            width: outer.width.cut,
            height: outer.height.cut,
          },
        ]
      : [],
    lines: [
      ...foldsBetween(panels, high),
      ...spineSlits(panels, high, out.height, job),
      ...mitres(total, high, out),
    ],
    shapes: pieces
      .filter(({ id }) => id === 'pastedown')
      .flatMap(({ width, height }) => {
        const y = scale(subtract(high, height.cut), 1 / 2)
        const size = {
          width: width.cut,
          height: height.cut,
          piece: 'pastedown',
          name: 'pastedown',
          face: 'inside',
        } as const
        const inset = customary(1 / 8, job.unit)
        return [
          { ...size, at: [inset, y] as const },
          { ...size, at: [subtract(subtract(total, inset), width.cut), y] as const },
        ]
      }),
  }
}

function panelsOf(
  { object, inside }: Job<GluedWrapOptions>,
  { hingeGroove }: ResolvedOptions,
): readonly Panel[] {
  const wrap = add(totalOf(deriveWrap(object) ?? []), inside)
  const spine = deriveSpineArc(object)
  const board = spine === undefined ? zero : scale(subtract(wrap, spine), 1 / 2)
  if (spine === undefined || board <= zero)
    return [{ id: 'body', name: 'body', kind: 'body', width: add(wrap, scale(hingeGroove, 2)) }]
  const hinge = (side: string): readonly Panel[] =>
    hingeGroove > zero ? [{ id: `${side}-hinge`, name: 'hinge', kind: 'gap', width: hingeGroove }] : []
  return [
    { id: 'back', name: 'back', kind: 'board', side: 'back', width: board },
    ...hinge('back'),
    { id: 'spine', name: 'spine', kind: 'spine', width: spine },
    ...hinge('front'),
    { id: 'front', name: 'front', kind: 'board', side: 'front', width: board },
  ]
}

/** Two slits at the top and two at the bottom, as far apart as the spine is wide; the tongue between is narrowed. */
function spineSlits(
  panels: readonly Panel[],
  high: Length,
  out: Length,
  { unit }: Job<GluedWrapOptions>,
): readonly StripLine[] {
  const spine = placePanels(panels).find(({ kind }) => kind === 'spine')
  if (!spine) return []
  const narrow = scale(customary(1 / 4, unit), 1 / 2)
  const right = add(spine.x, spine.width)
  const inner = [longest(spine.x, add(spine.x, narrow)), subtract(right, narrow)] as const
  const slit = (x: Length, tip: Length, up: boolean): StripLine => ({
    kind: 'slit',
    from: [x, up ? zero : high],
    to: [tip, up ? negate(out) : add(high, out)],
  })
  return [true, false].flatMap(up => [slit(spine.x, inner[0], up), slit(right, inner[1], up)])
}

/** Corners fold as right triangles before the edges do. */
function mitres(total: Length, high: Length, out: BothWays<Length>): readonly StripLine[] {
  const fold = (from: StripLine['from'], to: StripLine['to']): StripLine => ({ kind: 'hem', from, to })
  const [left, right] = [negate(out.width), add(total, out.width)]
  const [top, bottom] = [negate(out.height), add(high, out.height)]
  return [
    fold([left, zero], [zero, top]),
    fold([right, zero], [total, top]),
    fold([left, high], [zero, bottom]),
    fold([right, high], [total, bottom]),
  ]
}
