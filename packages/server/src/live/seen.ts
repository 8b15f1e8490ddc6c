/** Which notes were seen already: all up to one, and of those after it these. */
export interface Seen {
  /** Everything up to this one was seen, or will never be. */
  readonly below: () => string
  /** False where it was seen before. */
  readonly add: (id: string, at: number) => boolean
  /** Gaps before what was seen by then stay empty: whoever had those numbers has taken its work back. */
  readonly closeGapsBefore: (moment: number) => void
}

/** Numbers count up by one, but transactions end in another order than that in which they took theirs. */
export function createSeen(from: string): Seen {
  let below = BigInt(from)
  const beyond = new Map<bigint, number>()
  const advance = () => {
    while (beyond.delete(below + 1n)) below += 1n
  }
  return {
    below: () => String(below),
    add: (id, at) => {
      const number = BigInt(id)
      if (number <= below || beyond.has(number)) return false
      beyond.set(number, at)
      advance()
      return true
    },
    closeGapsBefore: moment => {
      for (const [number, at] of beyond) if (at < moment && number > below) below = number
      for (const number of beyond.keys()) if (number <= below) beyond.delete(number)
      advance()
    },
  }
}
