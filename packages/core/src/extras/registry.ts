import type { Extra } from './contract.js'
import { tiePair } from './tie-pair/index.js'

/** Everything that can be added to a cover, in the order in which it is offered. */
export const extras: readonly Extra[] = [tiePair]

export function findExtra(type: string): Extra | undefined {
  return extras.find(extra => extra.type === type)
}
