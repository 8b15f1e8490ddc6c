// Runs every check in order and ends with the line `N passed, N failed`. A step that breaks off counts as failed.
import { spawn } from 'node:child_process'

const steps = [
  ['types', ['run', '--silent', 'types']],
  ['build', ['run', '--silent', 'build']],
  ['lint', ['run', '--silent', 'lint']],
  ['unit', ['run', '--silent', 'unit']],
  ['server', ['run', '--silent', 'server']],
  ['browser', ['run', '--silent', 'browser']],
]

const totals = { passed: 0, failed: 0 }
for (const [name, args] of steps) {
  const began = Date.now()
  console.log(`\n── ${name}`)
  const { code, output } = await run(args)
  const { passed, failed } = countOf(output, code)
  totals.passed += passed
  totals.failed += failed
  console.log(
    `── ${name}: ${failed === 0 ? 'good' : 'FAILED'} after ${Math.round((Date.now() - began) / 1000)} s`,
  )
}
console.log(`\n${totals.passed} passed, ${totals.failed} failed`)
process.exitCode = totals.failed === 0 ? 0 : 1

/** Tests count one by one; a step without tests counts as one. */
function countOf(output, code) {
  const passed = Number(/^\s*(\d+) passing/m.exec(output)?.[1] ?? 0)
  const failed = Number(/^\s*(\d+) failing/m.exec(output)?.[1] ?? 0)
  if (passed + failed === 0) return code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 }
  return { passed, failed: code !== 0 && failed === 0 ? 1 : failed }
}

function run(args) {
  return new Promise(resolve => {
    // Without colours: their codes would stand between the counts and those who read them.
    const env = { ...process.env, FORCE_COLOR: '0', NO_COLOR: '1' }
    const child = spawn('npm', args, { stdio: ['ignore', 'pipe', 'inherit'], env })
    let output = ''
    child.stdout.on('data', chunk => {
      output += chunk
      process.stdout.write(chunk)
    })
    child.on('close', code => resolve({ code: code ?? 1, output }))
  })
}
