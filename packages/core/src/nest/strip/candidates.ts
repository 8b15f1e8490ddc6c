/** Ways to go on from the layouts of one level of a beam search: from which, how, and how promising (low is good). */
export interface Candidates {
  count: number
  from: Int32Array
  how: Int32Array
  score: Float64Array
  /** After `pickBest`: the candidates, best first. */
  ranked: Int32Array
}

export function createCandidates(): Candidates {
  const room = 1 << 12
  return {
    count: 0,
    from: new Int32Array(room),
    how: new Int32Array(room),
    score: new Float64Array(room),
    ranked: new Int32Array(room),
  }
}

export function addCandidate(candidates: Candidates, from: number, how: number, score: number): void {
  if (candidates.count === candidates.from.length) grow(candidates)
  const at = candidates.count
  candidates.from[at] = from
  candidates.how[at] = how
  candidates.score[at] = score
  candidates.count += 1
}

/** Ranks the best so many; gives how many there are. */
export function pickBest(candidates: Candidates, most: number): number {
  const { count, score, ranked } = candidates
  for (let at = 0; at < count; at += 1) ranked[at] = at
  const picked = Math.min(count, most)
  if (count > picked) bringForward(ranked, score, count, picked)
  ranked.subarray(0, picked).sort((one, other) => (score[one] as number) - (score[other] as number))
  return picked
}

function grow(candidates: Candidates): void {
  const room = 2 * candidates.from.length
  const { from, how, score } = candidates
  candidates.from = new Int32Array(room)
  candidates.how = new Int32Array(room)
  candidates.score = new Float64Array(room)
  candidates.ranked = new Int32Array(room)
  candidates.from.set(from)
  candidates.how.set(how)
  candidates.score.set(score)
}

/** Brings the indices of the `most` lowest scores to the front, in no order (Hoare’s selection). */
function bringForward(index: Int32Array, score: Float64Array, count: number, most: number): void {
  let low = 0
  let high = count - 1
  while (low < high) {
    const pivot = score[index[(low + high) >> 1] as number] as number
    let up = low
    let down = high
    while (up <= down) {
      while ((score[index[up] as number] as number) < pivot) up += 1
      while ((score[index[down] as number] as number) > pivot) down -= 1
      if (up > down) break
      const kept = index[up] as number
      index[up] = index[down] as number
      index[down] = kept
      up += 1
      down -= 1
    }
    if (most - 1 <= down) high = down
    else if (most - 1 >= up) low = up
    else return
  }
}
