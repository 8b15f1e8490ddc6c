import { add, scale, shortest, subtract, zero, type Length } from '../../length/length.js'
import { turnOfCloth } from '../../material/stand-off.js'
import { deriveSpineArc } from '../../object/derive.js'
import type { Piece } from '../../piece/piece.js'
import type { Job } from '../contract.js'
import type { Panel, Strip, StripArea, StripLine } from '../strip.js'
import type { ResolvedOptions, SlipCoverOptions } from './options.js'
import { flapAsCut } from './pieces.js'
import type { Body } from './size.js'

/** The cover laid flat with its flaps opened out: flap, back, spine, front, flap. */
export function layStrip(
  job: Job<SlipCoverOptions>,
  body: Body,
  pieces: readonly Piece[],
  options: ResolvedOptions,
): Strip {
  const flapPiece = pieces.find(({ id }) => id === 'flap' || id === 'flap-outer')
  const flap = flapPiece ? flapAsCut(flapPiece.width, job.seam, options) : zero
  const panels = [flapPanel('back', flap), ...bodyPanels(job, body), flapPanel('front', flap)]
  const height = body.fitHeight.finished
  const edge = add(job.seam, body.turnedEdge)
  const inner = pieces.filter(({ id, trimTo }) => (id === 'interfacing' || id === 'padding') && !trimTo)
  return {
    panels,
    height,
    cutPieces: [cutArea(flap, edge, body)],
    areas: inner.map(piece => centredArea(piece, flap, body)),
    lines: [...panelLines(panels, height), ...openingLine(body, flap, options)],
  }
}

function flapPanel(side: 'back' | 'front', width: Length): Panel {
  return { id: `${side}-flap`, name: `${side} flap`, kind: 'flap', width }
}

/** Back, spine and front where the spine is known and leaves room for boards; else the body as one. */
function bodyPanels({ object }: Job<SlipCoverOptions>, { bulk, fitWidth }: Body): readonly Panel[] {
  const arc = deriveSpineArc(object)
  const spine = arc === undefined ? fitWidth.finished : add(arc, turnOfCloth(bulk))
  const board = scale(subtract(fitWidth.finished, spine), 1 / 2)
  if (board <= zero) return [{ id: 'body', name: 'body', kind: 'body', width: fitWidth.finished }]
  return [
    { id: 'back', name: 'back', kind: 'board', width: board },
    { id: 'spine', name: 'spine', kind: 'spine', width: subtract(fitWidth.finished, scale(board, 2)) },
    { id: 'front', name: 'front', kind: 'board', width: board },
  ]
}

function cutArea(flap: Length, edge: Length, { width, height }: Body): StripArea {
  const at = [subtract(flap, edge), subtract(zero, edge)] as const
  return { piece: 'outer', at, width: width.cut, height: height.cut }
}

function centredArea(piece: Piece, flap: Length, { fitWidth, fitHeight }: Body): StripArea {
  const [width, height] = [piece.width.cut, piece.height.cut]
  const left = add(flap, scale(subtract(fitWidth.finished, width), 1 / 2))
  return { piece: piece.id, at: [left, scale(subtract(fitHeight.finished, height), 1 / 2)], width, height }
}

/** A seam where a flap joins the body, a fold at each side of the spine. */
function panelLines(panels: readonly Panel[], height: Length): readonly StripLine[] {
  let x = zero
  return panels.slice(0, -1).map((panel, index): StripLine => {
    x = add(x, panel.width)
    const besideFlap = panel.kind === 'flap' || panels[index + 1]?.kind === 'flap'
    return { kind: besideFlap ? 'seam' : 'fold', from: [x, zero], to: [x, height] }
  })
}

function openingLine(
  { fitWidth, fitHeight }: Body,
  flap: Length,
  options: ResolvedOptions,
): readonly StripLine[] {
  const free = subtract(fitWidth.finished, scale(options.flapDepth, 2))
  const length = shortest(options.turningOpening, free)
  if (length <= zero) return []
  const from = add(flap, scale(subtract(fitWidth.finished, length), 1 / 2))
  const y = fitHeight.finished
  return [{ kind: 'opening', from: [from, y], to: [add(from, length), y], label: 'turning opening' }]
}
