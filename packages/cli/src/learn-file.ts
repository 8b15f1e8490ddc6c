import { learn, learntToJson, readLearnRequest } from '@snowdrift/core'
import { overOneFile } from './over-one-file.js'
import { manyBytes } from './read-json.js'
import type { Terminal } from './terminal.js'

/** `learn FILE`: reads makes and prints what they tell of the maker’s hand as JSON. Makes left out are listed in it. */
export function learnFile(args: readonly string[], terminal: Terminal): Promise<number> {
  return overOneFile(args, terminal, {
    command: 'learn',
    read: readLearnRequest,
    mostBytes: manyBytes,
    work: ({ makes, level }) => ({ json: learntToJson(learn(makes, level)), isGood: true }),
  })
}
