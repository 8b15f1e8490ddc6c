import type { Saying } from '../finding/say.js'
import { toMm, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { CutFrom } from '../material/cut-from.js'
import type { Stack } from '../material/layer.js'
import type { Notion } from '../piece/notion.js'
import type { Piece } from '../piece/piece.js'
import type { Hands } from './hands.js'

/** What lies on the table: everything that is cut and bought for one cover, and who works on it. */
export interface Bench {
  readonly pieces: readonly Piece[]
  readonly notions: readonly Notion[]
  readonly stack: Stack
  readonly cutFrom: CutFrom
  readonly unit: Unit
  readonly seam: Length
  /** How lengths are said in the sentences. */
  readonly say: Saying
  readonly hands: Hands
}

export function has({ pieces }: Pick<Bench, 'pieces'>, id: string): boolean {
  return pieces.some(piece => piece.id === id)
}

/** Those of the pieces that there are. */
export function those(bench: Pick<Bench, 'pieces'>, ...ids: readonly string[]): readonly string[] {
  return ids.filter(id => has(bench, id))
}

/** A piece that the way of making always has; its absence is a bug. */
export function pieceOn({ pieces }: Pick<Bench, 'pieces'>, id: string): Piece {
  const piece = pieces.find(known => known.id === id)
  if (!piece) throw new Error(`A step is made of the piece “${id}”, which this cover does not have`)
  return piece
}

/** Width and height as cut in millimetres, and the way round. */
export function sizeMm(bench: Pick<Bench, 'pieces'>, id: string) {
  const { width, height } = pieceOn(bench, id)
  const [wide, high] = [toMm(width.cut), toMm(height.cut)]
  return { wide, high, round: 2 * (wide + high), area: wide * high }
}

/** “15 ¾ × 10 ⅜ in”, as cut. */
export function saySize({ say }: Pick<Bench, 'say'>, { width, height }: Piece): string {
  return `${say(width.cut)} × ${say(height.cut)}`
}
