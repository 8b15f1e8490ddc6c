import type { Direction, Learnt } from '@snowdrift/core'

/** An ease in one direction, in millimetres. */
export type EaseOf = readonly [direction: Direction, millimetres: number]

/** What one make tells is chance. */
const leastMakes = 3

/** The ease that the maker likes, in each direction asked for, and the makes behind it; undefined until enough tell of it. */
export function likedEases(
  learnt: Pick<Learnt, 'ease'> | undefined,
  asked: readonly Direction[],
): { readonly eases: readonly EaseOf[]; readonly makes: number } | undefined {
  if (!learnt || asked.length === 0) return undefined
  const makes = Math.min(...asked.map(direction => learnt.ease[direction].makes))
  if (makes < leastMakes) return undefined
  return { eases: asked.map(direction => [direction, learnt.ease[direction].value]), makes }
}
