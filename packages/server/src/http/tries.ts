import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import type { Sequelize } from 'sequelize'
import { hashOf } from '../db/repositories/secret.js'

/** How often something secret may be tried. */
export interface Tries {
  /** Counts one that failed. */
  readonly count: (address: string) => Promise<void>
  /** How long `address` has to wait before it may try again; 0 where it need not. */
  readonly waitSeconds: (address: string) => Promise<number>
}

/** An address that guesses is kept from guessing on; who guesses from many is, all together, too. */
const byAddress = { points: 10, duration: 600 }
const byAll = { points: 300, duration: 600 }

/**
 * Counts what was tried in the database, so that all processes and later starts know it. Whoever has the right code on the
 * first try is let in though others guess from elsewhere, but where those are very many.
 */
export function createTries(sequelize: Sequelize, what: string): Tries {
  const limiterOf = (limit: typeof byAddress, keyPrefix: string) =>
    new RateLimiterPostgres({
      storeClient: sequelize,
      storeType: 'sequelize',
      tableName: 'tries',
      tableCreated: true,
      clearExpiredByTimeout: true,
      keyPrefix: `${what} ${keyPrefix}`,
      ...limit,
    })
  const limiters = [
    { limiter: limiterOf(byAddress, 'by'), keyOf: hashOf },
    { limiter: limiterOf(byAll, 'all'), keyOf: () => 'all' },
  ]
  return {
    count: async address => {
      for (const { limiter, keyOf } of limiters)
        await limiter.consume(keyOf(address)).catch((error: unknown) => {
          if (!(error instanceof RateLimiterRes)) throw error
        })
    },
    waitSeconds: async address => {
      const found = await Promise.all(
        limiters.map(async ({ limiter, keyOf }) => {
          const tried = await limiter.get(keyOf(address))
          return tried && tried.remainingPoints <= 0 ? tried.msBeforeNext / 1000 : 0
        }),
      )
      return Math.ceil(Math.max(...found))
    },
  }
}
