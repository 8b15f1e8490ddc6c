// Runs every check and ends with the line `N passed, N failed`. A step that breaks off counts as failed.
import { spawn } from 'node:child_process'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { availableParallelism } from 'node:os'

/**
 * One stage after the other; within a stage its lanes side by side, where there are cores for it. Servers and browsers have
 * the machine to themselves: a browser that stands still is no story.
 */
const stages = [[['build']], [['server', 'browser']], [['unit', 'types'], ['lint:fresh']]]

const totals = { passed: 0, failed: 0 }
/** What failed, in full: said once more at the end, where a reader of a long log looks first. */
const failures = []
/** The servers’ tests and browser stories that failed, where those are few: they are run once more, alone. More is no accident. */
const late = []
const fewAtMost = 5
const lateMaybe = ['server', 'browser']
for (const lanes of stages) {
  if (availableParallelism() > 1) await Promise.all(lanes.map(checkInTurn))
  else for (const lane of lanes) await checkInTurn(lane)
  // Nothing runs that is not built.
  if (lanes === stages[0] && totals.failed > 0) break
}
for (const failed of late) await tellAgain(failed)
for (const words of failures) console.log(`\n${words}`)
console.log(`\n${totals.passed} passed, ${totals.failed} failed`)
process.exitCode = totals.failed === 0 ? 0 : 1

async function checkInTurn(steps) {
  for (const name of steps) await check(name)
}

/** What a step has to say is printed when it is done, so that two do not speak at once. */
async function check(name) {
  const began = Date.now()
  console.log(`── ${name} …`)
  const { code, output } = await run(['run', '--silent', name])
  const { passed, failed } = countOf(output, code)
  totals.passed += passed
  totals.failed += failed
  const how = failed === 0 ? 'good' : 'FAILED'
  const files = lateMaybe.includes(name) ? testsIn(failureIn(output)) : []
  if (failed > 0 && failed <= fewAtMost && files.length > 0)
    late.push({ name, files, failed, words: failureIn(output) })
  else if (failed > 0) failures.push(`── ${name} FAILED\n${failureIn(output)}`)
  console.log(`\n── ${name}\n${output}`)
  console.log(`── ${name}: ${how} after ${Math.round((Date.now() - began) / 1000)} s`)
}

/**
 * A server or a browser on a machine that is shared may stand still for a minute, which no test can tell from a fault. The
 * files of those that failed are run again when nothing else does: what fails then has failed, and what passed only then
 * is said.
 */
async function tellAgain({ name, files, failed, words }) {
  console.log(`── once more, alone: ${files.join(', ')} …`)
  const { code, output } = await run(['exec', '--', 'mocha', ...files])
  const again = countOf(output, code)
  const stillFailed = Math.min(again.failed, failed)
  totals.failed += stillFailed - failed
  totals.passed += failed - stillFailed
  console.log(`\n── once more, alone\n${output}`)
  if (again.failed > 0) failures.push(`── ${name} FAILED, again when alone\n${failureIn(output)}`)
  if (stillFailed < failed)
    failures.push(`── ${name}: ${failed - stillFailed} of these passed when run again, alone:\n${words}`)
}

/** The files of the failures that mocha lists: by the groups they stand in, for not every failure names its file. */
function testsIn(words) {
  const groups = [...words.matchAll(/^ {2}\d+\) (.+)$/gm)].map(([, title]) => `describe('${title.trim()}'`)
  return ['e2e', 'packages/server/src']
    .flatMap(folder =>
      existsSync(folder) ? readdirSync(folder, { recursive: true }).map(name => `${folder}/${name}`) : [],
    )
    .filter(file => file.endsWith('.test.ts') && !file.includes('node_modules'))
    .filter(file => {
      const text = readFileSync(file, 'utf8')
      return groups.some(group => text.includes(group))
    })
}

/** Tests count one by one; a step without tests counts as one. */
function countOf(output, code) {
  const passed = Number(/^\s*(\d+) passing/m.exec(output)?.[1] ?? 0)
  const failed = Number(/^\s*(\d+) failing/m.exec(output)?.[1] ?? 0)
  if (passed + failed === 0) return code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 }
  return { passed, failed: code !== 0 && failed === 0 ? 1 : failed }
}

/** The failures that mocha lists after its counts; of a step without tests its last lines. */
function failureIn(output) {
  const failing = /^\s*\d+ failing$/m.exec(output)
  return failing ? output.slice(failing.index).trim() : output.trim().split('\n').slice(-40).join('\n')
}

function run(args) {
  return new Promise(resolve => {
    // Without colours: their codes would stand between the counts and those who read them.
    const env = { ...process.env, FORCE_COLOR: '0', NO_COLOR: '1' }
    const child = spawn('npm', args, {
      stdio: ['ignore', 'pipe', 'pipe'],
      env,
    })
    let output = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', chunk => (output += chunk))
    child.on('close', code => resolve({ code: code ?? 1, output }))
  })
}
