import { readdir } from 'node:fs/promises'
import { join } from 'node:path'
import { loadCommands } from './commands.js'

/** The last step of a build: runs commands once over every example, so that the code of what they do is kept. */
const { exports, keep } = loadCommands()
const folder = join(import.meta.dirname, '../../../docs/examples')
const silent = { input: process.stdin, print: () => true, complain: () => true }
for (const file of (await readdir(folder)).filter(name => name.endsWith('.json')))
  for (const command of ['plan', 'steps', 'simulate'])
    await exports.runCommand(command, [join(folder, file)], silent, () => import('./export-file.js'))
keep()
