import { spawnSync } from 'node:child_process'
import { copyFileSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from 'chai'

const root = join(import.meta.dirname, '../../..')

function snowdrift(args: readonly string[], input = '', environment: Record<string, string> = {}) {
  const { status, stdout, stderr } = spawnSync(join(root, 'snowdrift'), args, {
    input,
    encoding: 'utf8',
    cwd: '/',
    env: { ...process.env, ...environment },
  })
  return { status, out: stdout, err: stderr }
}

/** What the script says where npm is one that answers so to the question for faults, and does nothing else. */
function install({ answer, code, isInstalled = false }: InstallOptions): string {
  const folder = mkdtempSync(join(tmpdir(), 'snowdrift-install-'))
  try {
    copyFileSync(join(root, 'snowdrift'), join(folder, 'snowdrift'))
    writeFileSync(join(folder, 'package-lock.json'), '{}')
    const npm = `#!/bin/sh\n[ "$1" = audit ] || exit 0\necho '${answer}'\nexit ${code}\n`
    writeFileSync(join(folder, 'npm'), npm, { mode: 0o755 })
    const stamps = join(folder, 'node_modules/.snowdrift')
    mkdirSync(stamps, { recursive: true })
    if (isInstalled) writeFileSync(join(stamps, 'lock'), '{}')
    const { stderr } = spawnSync(join(folder, 'snowdrift'), ['plan', '-'], {
      encoding: 'utf8',
      env: { ...process.env, PATH: `${folder}:${process.env['PATH']}` },
    })
    // it came as far as it goes without what is built
    expect(stderr).to.include('building')
    return stderr
  } finally {
    rmSync(folder, { recursive: true })
  }
}

interface InstallOptions {
  readonly answer: string
  readonly code: number
  readonly isInstalled?: boolean
}

describe('the script ./snowdrift', function () {
  this.timeout(60_000)

  it('says how it is used when it is not told what to do', () => {
    for (const args of [[], ['sew'], ['demo', 'now'], ['test', 'all']]) {
      const { status, out, err } = snowdrift(args)
      expect([status, out], args.join(' ')).to.deep.equal([2, ''])
      expect(err).to.contain('Usage: ./snowdrift COMMAND')
    }
  })

  it('runs from any folder, reads standard input and passes the exit code on', () => {
    const cover = {
      format: 'snowdrift/cover',
      version: 2,
      object: { kind: 'notebook', readings: { height: ['8'], wrap: ['11'] } },
      family: 'slip-cover',
      layers: [{ role: 'outer', thickness: '0.3 mm' }],
    }
    const good = snowdrift(['plan', '-'], JSON.stringify(cover))
    expect(good.status).to.equal(0)
    expect(JSON.parse(good.out)).to.have.property('pieces').with.length(2)
    const bad = snowdrift(['plan', '-'], JSON.stringify({ ...cover, family: 'tent' }))
    expect([bad.status, bad.out]).to.deep.equal([2, ''])
    expect(bad.err).to.match(/^family: “tent” is not a way of making/m)
  })

  it('plans the example of the handbook as it is described', () => {
    const { status, out } = snowdrift(['plan', join(root, 'docs/examples/hut-ledger.json')])
    expect(status).to.equal(0)
    const [outer] = (JSON.parse(out) as { pieces: { cut: object; exact: object }[] }).pieces
    expect(outer?.cut).to.deep.equal({
      width: { mm: 400.05, text: '15 3/4 in' },
      height: { mm: 263.525, text: '10 3/8 in' },
    })
    expect(outer?.exact).to.deep.equal({ width: { mm: 397.4527 }, height: { mm: 262.2216 } })
  })

  it('writes a cover for paper', () => {
    const folder = mkdtempSync(join(tmpdir(), 'snowdrift-script-'))
    try {
      const out = join(folder, 'labels.pdf')
      const { status, err } = snowdrift(
        [
          'export',
          join(root, 'docs/examples/hut-ledger.json'),
          '--as',
          'labels',
          '--paper',
          'letter',
          '--out',
          out,
        ],
        '',
      )
      expect([status, err]).to.deep.equal([0, ''])
      expect(readFileSync(out).subarray(0, 5).toString()).to.equal('%PDF-')
    } finally {
      rmSync(folder, { recursive: true })
    }
  })

  it('asks, when it has installed packages, whether they have known faults, and goes on', () => {
    const faults = '{ "auditReportVersion": 2, "vulnerabilities": { "knot": { "severity": "high" } } }'
    const said = /known faults/
    expect(install({ answer: '{ "auditReportVersion": 2, "vulnerabilities": {} }', code: 0 })).to.not.match(
      said,
    )
    expect(install({ answer: faults, code: 1 })).to.match(/packages that run have known faults/)
    expect(install({ answer: '{ "message": "405 Method Not Allowed" }', code: 1 })).to.match(
      /the registry does not say whether/,
    )
    // what is installed already is not asked for again
    expect(install({ answer: faults, code: 1, isInstalled: true })).to.not.match(said)
  })

  it('fails with a plain sentence where Node is missing', () => {
    const { status, err } = snowdrift(['plan', '-'], '', { PATH: '/nowhere:/bin-without-node' })
    expect(status).to.not.equal(0)
    expect(err.split('\n').length).to.be.below(6)
  })
})
