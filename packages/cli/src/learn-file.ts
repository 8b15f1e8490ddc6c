import { formatIssue, learn, learntToJson, readLearnRequest } from '@snowdrift/core'
import { manyBytes, readJson } from './read-json.js'
import { exitCodes, type Terminal } from './terminal.js'

/** `learn FILE`: reads makes and prints what they tell of the maker’s hand as JSON. Makes left out are listed in it. */
export async function learnFile(args: readonly string[], terminal: Terminal): Promise<number> {
  const refuse = (lines: readonly string[]) => {
    terminal.complain(lines.map(line => `${line}\n`).join(''))
    return exitCodes.unusable
  }
  const [file, ...rest] = args
  if (file === undefined || rest.length > 0)
    return refuse(['Expected one file: snowdrift learn FILE (- is standard input).'])
  const json = await readJson(file, terminal, manyBytes)
  if (!json.ok) return refuse([json.message])
  const read = readLearnRequest(json.value)
  if (!read.ok) return refuse(read.issues.map(formatIssue))
  const { makes, level } = read.value
  terminal.print(JSON.stringify(learntToJson(learn(makes, level)), null, 2) + '\n')
  return exitCodes.done
}
