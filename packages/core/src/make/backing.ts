import { backingsOf, type Layer } from '../material/layer.js'
import { toMm } from '../length/length.js'
import { customary } from '../length/unit.js'
import type { Piece } from '../piece/piece.js'
import { has, pieceOn, saySize, sizeMm, type Bench } from './bench.js'
import type { Draft } from './draft.js'
import { bastingMinutes, fusingMinutes, sewingMinutes, trimmingMinutes, waits } from './minutes.js'
import { quiltPanel } from './single-layer.js'

export interface Backed {
  /** Sewn work has its interfacing fused and its padding laid in; journals and glued work do it in their own way. */
  readonly seamed: boolean
  readonly glued: boolean
  readonly pieced: readonly string[]
  /** Lines that the plan draws on one panel. */
  readonly quiltingLines: number
  /** Whether the work is turned, so that something can be fused after. */
  readonly turns: boolean
}

/** Patchwork, interfacing, padding, underlining and quilting: all that is done to a panel before it is dressed. */
export function backing(bench: Bench, about: Backed): readonly Draft[] {
  const ids = bench.pieces.map(({ id }) => id)
  return [
    ...about.pieced.filter(id => ids.includes(id)).flatMap(id => patching(bench, id, about)),
    ...(about.seamed ? ids.flatMap(id => behind(bench, id, about)) : []),
    ...(!about.glued && has(bench, 'underlining') && has(bench, 'outer') ? [underlining(bench)] : []),
    ...quilting(bench, about),
  ]
}

/** Patches sewn and pressed; trimmed to the panel where quilting does not trim it. */
function patching(bench: Bench, id: string, { glued }: Backed): readonly Draft[] {
  const piece = pieceOn(bench, id)
  const { wide, round } = sizeMm(bench, id)
  const quilted = id === 'outer' && !glued && quiltedPadding(bench) !== undefined
  return [
    {
      id: `patch-${id}`,
      kind: 'sew',
      place: 'machine',
      minutes: piece.count * sewingMinutes(3 * wide),
      stitchedMm: piece.count * 3 * wide,
      name: `Join what the ${id} is pieced from`,
      does: `Sew the patches together to ${saySize(bench, piece)} or more, press the seams to one side.`,
      why: 'Each seam takes a little: larger first, trimmed after.',
      pieces: [id],
      face: 'wrong side',
      tools: ['sewing machine', 'iron'],
      cautions: ['needles', 'hot-iron'],
      on: { piece: id, stage: 'first' },
    },
    ...(quilted || !piece.trimTo
      ? []
      : [
          {
            id: `trim-${id}`,
            kind: 'trim',
            place: 'cutting',
            minutes: piece.count * trimmingMinutes(round),
            name: `Trim the pieced ${id}`,
            does: `To ${bench.say(piece.trimTo.width)} × ${bench.say(piece.trimTo.height)}, a wanted patch at its place.`,
            why: 'Now its size is known.',
            pieces: [id],
            tools: ['ruler', 'rotary cutter'],
            cautions: ['blades'],
            on: { piece: id, stage: 'trim' },
          } as const,
        ]),
  ]
}

/** What lies behind a piece: interfacing fused, padding fused or laid. */
function behind(bench: Bench, id: string, about: Backed): readonly Draft[] {
  return backingsOf(bench.stack, id === 'flap-outer' && !backsIt(bench, id) ? 'flap' : id).flatMap(layer => {
    const wall = id === 'outer' || id === 'lining'
    const piece = bench.pieces.find(known => known.id === (wall ? layer.role : `${layer.role}-${id}`))
    if (!piece) return []
    if (layer.role === 'padding' && piece.trimTo && id === 'outer') return []
    const patched = about.pieced.includes(id) ? [`patch-${id}`] : []
    return layer.fused
      ? fusing(bench, { id, piece, layer, patched, about })
      : [laying(bench, { id, piece, layer, patched })]
  })
}

function backsIt({ stack }: Bench, id: string): boolean {
  return backingsOf(stack, id).length > 0
}

interface Behind {
  readonly id: string
  readonly piece: Piece
  readonly layer: Layer
  readonly patched: readonly string[]
}

function fusing(
  bench: Bench,
  { id, piece, layer, patched, about }: Behind & { readonly about: Backed },
): readonly Draft[] {
  const fleece = layer.role === 'padding'
  const name = id.replaceAll('-', ' ')
  const what = piece.id.replaceAll('-', ' ')
  const count = pieceOn(bench, id).count
  const after = bench.hands.fuse === 'after' && about.turns && !fleece
  const shared = { pieces: [piece.id, id], tools: ['iron', 'damp cloth'], cautions: ['hot-iron'] } as const
  const first: Draft = {
    id: `fuse-${fleece ? 'padding-' : ''}${id}`,
    kind: 'fuse',
    place: 'iron',
    minutes: fusingMinutes({ ...piece, count }),
    wait: waits.cooling,
    name: `Fuse the ${what} to the ${name}`,
    does: fleece
      ? `Padding (${saySize(bench, piece)}) in the middle of the wrong side; warm it through the cloth from the right side, press and lift, 10–15 s a place.`
      : `Adhesive to the wrong side of the ${name}, in the middle. Press and lift, do not slide: 10–15 s a place, overlapping, damp cloth or steam. Let it cool flat.`,
    why: 'Sliding stretches the cloth on the warm glue.',
    face: 'wrong side',
    check: {
      ask: 'Is the adhesive on the wrong side, all of it stuck, no bubble?',
      ifNot: 'Press that place again; peeled while warm it comes off.',
      cost: 'cheap',
    },
    on: { piece: id, stage: 'first' },
    needs: patched,
    ...shared,
  }
  if (!after) return [first]
  const { on: _on, ...joined } = first
  return [
    {
      ...laying(bench, { id, piece, layer, patched }),
      does: `Lay the ${what} on the wrong side of the ${name}, adhesive to the cloth, and baste it within the seam: it is fused when the work is turned.`,
    },
    {
      ...joined,
      id: `${first.id}-after`,
      name: `Fuse the ${what} now`,
      does: `Through the ${name}, from the right side: press and lift, 10–15 s a place.`,
      needs: ['turn-out'],
      pieces: [id],
    },
  ]
}

function laying(bench: Bench, { id, piece, layer, patched }: Behind): Draft {
  const { inset } = layer
  const where =
    inset > 0 ? `in the middle, ${bench.say(inset)} inside every edge` : 'edges level: the seam catches it'
  const name = id.replaceAll('-', ' ')
  const count = pieceOn(bench, id).count
  const around = 2 * (toMm(piece.width.cut) + toMm(piece.height.cut))
  return {
    id: `lay-${piece.id}${piece.id === layer.role ? `-${id}` : ''}`,
    kind: 'baste',
    place: 'machine',
    minutes: count * bastingMinutes(around),
    stitchedMm: count * around,
    name: `Lay the ${layer.role} behind the ${name}`,
    does: `${saySize(bench, piece)} on the wrong side of the ${name}, ${where}; baste round it, or a few long stitches.`,
    why: 'It must not slip while the pile is turned.',
    pieces: [piece.id, id],
    face: 'wrong side',
    tools: ['sewing machine'],
    cautions: ['needles'],
    on: { piece: id, stage: 'first' },
    needs: patched,
  }
}

function underlining(bench: Bench): Draft {
  return {
    id: 'baste-underlining',
    kind: 'baste',
    place: 'machine',
    minutes: bastingMinutes(sizeMm(bench, 'outer').round),
    stitchedMm: sizeMm(bench, 'outer').round,
    name: 'Baste the underlining to the outer',
    does: 'On the wrong side of the outer, edges level, within the seam.',
    why: 'From here on both are one cloth.',
    pieces: ['underlining', 'outer'],
    face: 'wrong side',
    tools: ['sewing machine'],
    cautions: ['needles'],
    on: { piece: 'outer', stage: 'first' },
  }
}

/** The padding that is quilted with the outer, and trimmed with it. */
function quiltedPadding({ pieces }: Bench): Piece | undefined {
  return pieces.find(({ id, trimTo }) => id === 'padding' && trimTo !== undefined)
}

/** A padded panel that is quilted with its layers: marked, quilted, trimmed. */
function quilting(bench: Bench, { glued, quiltingLines, pieced }: Backed): readonly Draft[] {
  if (glued || !has(bench, 'outer')) return []
  const outer = pieceOn(bench, 'outer')
  const isPieced = pieced.includes('outer')
  const padding = quiltedPadding(bench)
  const trimTo = padding?.trimTo ?? (isPieced ? undefined : outer.trimTo)
  if (!trimTo) return []
  const { wide, high } = sizeMm(bench, 'outer')
  const pitch = customary(3 / 2, bench.unit)
  const each = quiltingLines > 0 ? quiltingLines : Math.max(1, Math.floor(wide / toMm(pitch)))
  const { width, height } = trimTo
  const say = `${bench.say(width)} × ${bench.say(height)}`
  return quiltPanel(bench, {
    piece: 'outer',
    ...(padding && { padding: 'padding' }),
    lines: { count: outer.count * each, mmEach: high, pitch },
    trims: {
      size: say,
      to: trimTo.piece === 'outer' ? '' : `, as the ${trimTo.piece} is cut`,
      alongMm: outer.count * 2 * (toMm(width) + toMm(height)),
    },
  })
}
