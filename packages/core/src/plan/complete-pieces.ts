import type { FamilyOptions, Job } from '../families/contract.js'
import type { Cover } from '../file/cover.js'
import { scale, type Length } from '../length/length.js'
import { customary } from '../length/unit.js'
import { isBacking, type Layer } from '../material/layer.js'
import type { Piece } from '../piece/piece.js'
import { because, less, type Reason } from '../piece/reason.js'
import { becauseOfCut, sideRoundedDown, sideRoundedUp, type Side } from '../piece/side.js'
import type { FromExtra } from './numbered.js'

type AnyJob = Job<FamilyOptions>

/** The panels of a wall, whose backings their way of making cuts. */
const walls: readonly string[] = ['outer', 'lining']

/** What single pieces need beside themselves: room to be pieced, and what lies behind them. */
export function completePieces(
  job: AnyJob,
  { pieced }: Pick<Cover, 'pieced'>,
  list: readonly FromExtra[],
): readonly FromExtra[] {
  return list.flatMap(entry => [
    { ...entry, piece: pieced.includes(entry.piece.id) ? withRoomToPiece(job, entry.piece) : entry.piece },
    ...backingsBehind(job, entry.piece).map(piece => ({ ...entry, piece })),
  ])
}

/** Patchwork is made ½ in larger each way and trimmed; what is quilted has that room already. Source: docs/craft.md, Sizing. */
function withRoomToPiece({ unit, grid }: AnyJob, piece: Piece): Piece {
  if (piece.trimTo) return piece
  const room = because('room to trim what is pieced', customary(1 / 2, unit))
  const larger = (side: Side) => sideRoundedUp([...becauseOfCut('as it is trimmed', side), ...room], grid)
  const { id, width, height } = piece
  return {
    ...piece,
    width: larger(width),
    height: larger(height),
    trimTo: { piece: id, width: width.cut, height: height.cut },
  }
}

/** Interfacing and padding that lie behind this very piece. A folded flap is backed as far as its fold. */
function backingsBehind({ stack, grid }: AnyJob, piece: Piece): readonly Piece[] {
  if (walls.includes(piece.id)) return []
  return stack.filter(layer => liesBehind(layer, piece)).map(layer => backing(layer, piece, grid))
}

function liesBehind(layer: Layer, { id, part }: Piece): boolean {
  if (!isBacking(layer)) return false
  return layer.backs.includes(id) || (part === 'flap' && id === 'flap-outer' && layer.backs.includes('flap'))
}

function backing({ role, inset }: Layer, piece: Piece, grid: Length): Piece {
  const short = less('inset, twice', scale(inset, 2))
  const half: readonly Reason[] =
    piece.id === 'flap'
      ? because('as far as the fold: half of it', scale(piece.width.cut, 1 / 2))
      : becauseOfCut('cut width of what it lies behind', piece.width)
  return {
    id: `${role}-${piece.id}`,
    role,
    count: piece.count,
    width: sideRoundedDown([...half, ...short], grid),
    height: sideRoundedDown(
      [...becauseOfCut('cut height of what it lies behind', piece.height), ...short],
      grid,
    ),
  }
}
