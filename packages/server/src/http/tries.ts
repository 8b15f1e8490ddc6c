import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import type { Sequelize } from 'sequelize'
import { hashOf } from '../db/repositories/secret.js'

/** So often within so many seconds. */
export interface Limit {
  readonly points: number
  readonly duration: number
}

/** By what a try is counted: an address, a name, everybody together. One that is not named is not counted. */
export type Counted<Name extends string> = Readonly<Partial<Record<Name, string>>>

/** How often something secret may be tried. */
export interface Tries<Name extends string> {
  /**
   * Counts a try before it is made, so that many at once are no more than one after the other. How many seconds to wait
   * where there were too many, and it must not be made; 0 where it may.
   */
  readonly take: (counted: Counted<Name>) => Promise<number>
  /** It was right, and does not count. */
  readonly giveBack: (counted: Counted<Name>) => Promise<void>
}

const tenMinutes = 600

/** An address that guesses is kept from guessing on; who guesses from many is, all together, too. */
export const pairingLimits = {
  address: { points: 10, duration: tenMinutes },
  all: { points: 300, duration: tenMinutes },
} satisfies Readonly<Record<string, Limit>>

/**
 * Of signing in. Whoever guesses at one name from many addresses is stopped by `strangers`, which does not count browsers
 * in which its owner signed in before, nor passkeys: nobody can be locked out of their account by others who guess at it.
 */
export const enterLimits = {
  address: { points: 30, duration: tenMinutes },
  name: { points: 10, duration: tenMinutes },
  strangers: { points: 50, duration: 3600 },
  /** Questions to which a passkey answers; they cost nothing but room. */
  questions: { points: 100, duration: tenMinutes },
  /** How strong a passphrase is, asked as it is typed; it tells nothing of anybody. */
  strengths: { points: 300, duration: tenMinutes },
} satisfies Readonly<Record<string, Limit>>

export type EnterTries = Tries<keyof typeof enterLimits>
export type PairingTries = Tries<keyof typeof pairingLimits>

/** Does what a try is counted for. Where it cannot be done, whatever the reason, that was no try. */
export async function tryOut<Name extends string, Value>(
  tries: Tries<Name>,
  counted: Counted<Name>,
  work: () => Promise<Value>,
): Promise<Value> {
  try {
    return await work()
  } catch (error) {
    await tries.giveBack(counted)
    throw error
  }
}

/** Counts in the database, so that all processes and later starts know it. What it is counted by is kept as a hash. */
export function createTries<Name extends string>(
  sequelize: Sequelize,
  what: string,
  limits: Readonly<Record<Name, Limit>>,
): Tries<Name> {
  const limiters = (Object.keys(limits) as Name[]).map(name => ({
    name,
    limiter: new RateLimiterPostgres({
      storeClient: sequelize,
      storeType: 'sequelize',
      tableName: 'tries',
      tableCreated: true,
      clearExpiredByTimeout: true,
      keyPrefix: `${what} ${name}`,
      ...limits[name],
    }),
  }))
  const counting = (counted: Counted<Name>) =>
    limiters.flatMap(({ name, limiter }) => {
      const by = counted[name]
      return by === undefined ? [] : [{ limiter, key: hashOf(by) }]
    })
  return {
    take: async counted => {
      const waits = await Promise.all(
        counting(counted).map(async ({ limiter, key }) => {
          const taken = await limiter.consume(key).catch((error: unknown) => {
            if (error instanceof RateLimiterRes) return error
            throw error
          })
          return taken.consumedPoints > limiter.points ? taken.msBeforeNext / 1000 : 0
        }),
      )
      return Math.ceil(Math.max(0, ...waits))
    },
    giveBack: async counted => {
      for (const { limiter, key } of counting(counted)) await limiter.reward(key)
    },
  }
}
