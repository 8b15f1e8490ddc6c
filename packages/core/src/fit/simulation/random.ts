/** A stream of random numbers that starts alike for the same seed and name, whatever else is drawn beside it. */
export interface RandomStream {
  /** Fills the array with standard normal numbers: points in a circle, stretched (Marsaglia’s polar method). */
  readonly fillNormal: (target: Float64Array) => void
  /** Fills the array with numbers between −1 and 1, all alike. */
  readonly fillUniform: (target: Float64Array) => void
}

/**
 * Each source of error draws from a stream of its own, so that adding or leaving out one does not move the others:
 * what two plans differ by is then seen without noise (common random numbers).
 */
export function createRandomStream(seed: number, name: string): RandomStream {
  const next = xoshiro128starstar(seedState(seed, name))
  const eitherSide = () => (next() + 0.5) / 2 ** 31 - 1
  return {
    fillNormal: target => {
      for (let index = 0; index < target.length;) {
        const along = eitherSide()
        const across = eitherSide()
        const square = along * along + across * across
        if (square >= 1) continue
        const stretch = Math.sqrt((-2 * Math.log(square)) / square)
        target[index] = along * stretch
        if (index + 1 < target.length) target[index + 1] = across * stretch
        index += 2
      }
    },
    fillUniform: target => {
      for (let index = 0; index < target.length; index += 1) target[index] = eitherSide()
    },
  }
}

export type RandomState = readonly [number, number, number, number]

/**
 * Whole numbers from 0 to 2³² − 1. Source: D. Blackman, S. Vigna, Scrambled linear pseudorandom number generators,
 * ACM Transactions on Mathematical Software 47 (2021).
 */
export function xoshiro128starstar([one, two, three, four]: RandomState): () => number {
  let [a, b, c, d] = [one | 0, two | 0, three | 0, four | 0]
  return () => {
    const scrambled = Math.imul(rotate(Math.imul(b, 5), 7), 9)
    const shifted = b << 9
    c ^= a
    d ^= b
    b ^= c
    a ^= d
    c ^= shifted
    d = rotate(d, 11)
    return scrambled >>> 0
  }
}

/** Numbers from 0 to below 1, the same for the same seed. */
export function createRandom(seed: number): () => number {
  const next = xoshiro128starstar([seed | 0, Math.floor(seed / 2 ** 32) | 0, 0x9e3779b9, 0x85ebca6b])
  for (let warm = 0; warm < 16; warm += 1) next()
  return () => next() / 2 ** 32
}

function rotate(value: number, by: number): number {
  return (value << by) | (value >>> (32 - by))
}

/** Spreads seed and name over the whole state; never all zero. */
function seedState(seed: number, name: string): RandomState {
  let hash = mix(seed | 0) ^ mix(Math.floor(seed / 2 ** 32) + 1)
  for (let index = 0; index < name.length; index += 1) hash = mix(hash ^ (name.charCodeAt(index) + index))
  const words = [1, 2, 3, 4].map(step => mix(hash + Math.imul(step, 0x9e3779b9)))
  return [words[0] ?? 1, words[1] ?? 2, words[2] ?? 3, (words[3] ?? 4) | 1]
}

/** The finalizer of MurmurHash3: every bit of the result depends on every bit of the value. */
function mix(value: number): number {
  const first = Math.imul(value ^ (value >>> 16), 0x85ebca6b)
  const second = Math.imul(first ^ (first >>> 13), 0xc2b2ae35)
  return second ^ (second >>> 16)
}
