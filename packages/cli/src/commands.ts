import { join } from 'node:path'
import { loadWithCode, type Loaded } from './kept-code.js'
import type * as Commands from './run-command.js'

/** The commands as they were built: with the core in one file, which Node reads sooner than hundreds. */
export function loadCommands(): Loaded<typeof Commands> {
  return loadWithCode(join(import.meta.dirname, 'run-command.cjs'))
}
