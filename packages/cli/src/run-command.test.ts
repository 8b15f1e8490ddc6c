import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from 'chai'
import { run } from './testing/run.js'

const hutLedger = {
  format: 'snowdrift/cover',
  version: 2,
  object: {
    kind: 'hardcover',
    readings: { height: ['9 3/8'], width: ['6 5/8'], thickness: ['1 3/16'], boardThickness: ['1/8'] },
  },
  family: 'slip-cover',
  layers: [{ role: 'outer', thickness: '0.28 mm' }],
}

const plan = (cover: unknown) => run('plan', ['-'], JSON.stringify(cover))

describe('snowdrift plan', () => {
  let folder = ''
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-cli-'))
  })
  after(() => rm(folder, { recursive: true }))

  it('prints the plan of a file and of standard input alike, and exits 0', async () => {
    const file = join(folder, 'cover.json')
    await writeFile(file, JSON.stringify(hutLedger))
    const [fromFile, fromInput] = [await run('plan', [file]), await plan(hutLedger)]
    expect(fromFile).to.deep.equal(fromInput)
    expect(fromFile).to.include({ code: 0, err: '' })
    expect(
      (JSON.parse(fromFile.out) as { pieces: { id: string }[] }).pieces.map(({ id }) => id),
    ).to.deep.equal(['outer', 'flap'])
  })

  it('exits 1 with the plan when the cover cannot be made', async () => {
    const tight = { ...hutLedger, sizing: { mode: 'rule', measure: 'wrap', addWidth: 0, addHeight: 1 } }
    const { code, out, err } = await plan(tight)
    expect({ code, err }).to.deep.equal({ code: 1, err: '' })
    const { findings } = JSON.parse(out) as { findings: { code: string }[] }
    expect(findings.map(finding => finding.code)).to.include('will-not-go')
  })

  it('exits 2 with a line a problem and nothing on standard output', async () => {
    const bad = { ...hutLedger, family: 'slip-cover', seam: 'wide', options: { flap: 1 } }
    const { code, out, err } = await plan(bad)
    expect({ code, out }).to.deep.equal({ code: 2, out: '' })
    expect(err.trimEnd().split('\n')).to.deep.equal([
      'seam: No number found in “wide”. Write it as 8 3/4, 8.75, 22.2 cm or 222 mm.',
    ])
    const two = await plan({ ...hutLedger, seam: 'wide', flavour: 1 })
    expect(two.err.trimEnd().split('\n')).to.have.length(2)
  })

  it('tells a missing file, a folder, broken JSON and a huge input apart', async () => {
    expect((await run('plan', [join(folder, 'none.json')])).err).to.contain('there is no such file')
    expect((await run('plan', [folder])).err).to.contain('this is a folder')
    expect((await run('plan', ['-'], '{ "format": ')).err).to.match(/^standard input: not JSON: /)
    expect((await run('plan', ['-'], ' '.repeat(1_000_001))).err).to.contain('larger than it can be (1 MB)')
    expect((await run('plan', [])).err).to.contain('Expected one file')
    expect((await run('plan', ['a', 'b'])).code).to.equal(2)
  })
})

describe('snowdrift simulate', () => {
  const simulate = (cover: unknown, ...flags: readonly string[]) =>
    run('simulate', ['-', ...flags], JSON.stringify(cover))

  it('prints the chance, the same for the same seed', async () => {
    const [once, again] = [await simulate(hutLedger, '--seed', '7'), await simulate(hutLedger, '--seed=7')]
    expect(once).to.deep.equal(again)
    expect(once.code).to.equal(0)
    const json = JSON.parse(once.out) as Record<string, unknown>
    expect(json).to.include({ makes: 50_000, seed: 7 })
    expect(json['chance']).to.be.within(0.9, 1)
    expect(await simulate(hutLedger, '--seed', '8')).not.to.deep.equal(once)
  })

  it('answers with a chance where the cover will not go, and exits 0', async () => {
    const tight = { ...hutLedger, sizing: { mode: 'rule', measure: 'wrap', addWidth: 0, addHeight: 1 } }
    const { code, out } = await simulate(tight, '--makes', '1000')
    const { chance, findings } = JSON.parse(out) as { chance: number; findings: { code: string }[] }
    expect([code, chance]).to.deep.equal([0, 0])
    expect(findings.map(finding => finding.code)).to.include('will-not-go')
  })

  it('exits 1 where nothing can fail to fit, or a reading says nothing', async () => {
    const { code, out } = await simulate({ ...hutLedger, family: 'glued-wrap' })
    expect(code).to.equal(1)
    expect((JSON.parse(out) as { findings: { code: string }[] }).findings.at(-1)?.code).to.equal('no-fit')
    const readings = { ...hutLedger.object.readings, height: ['2', '20'] }
    const vague = await simulate({ ...hutLedger, object: { ...hutLedger.object, readings } })
    expect(vague.code).to.equal(1)
    expect(vague.out).to.contain('reading-says-nothing').and.not.contain('"chance"')
  })

  it('refuses makes and seeds that are none, all of them at once', async () => {
    const said = async (...flags: readonly string[]) => {
      const { code, out, err } = await simulate(hutLedger, ...flags)
      expect([code, out]).to.deep.equal([2, ''])
      return err.trimEnd().split('\n')
    }
    expect(await said('--makes', '0')).to.deep.equal([
      '--makes: expected a whole number from 1 to 1000000, found “0”. Without it, 50000.',
    ])
    expect((await said('--makes', '1000000000'))[0]).to.contain('found “1000000000”')
    expect((await said('--makes'))[0]).to.contain('found nothing')
    expect(await said('--seed', 'lucky', '--makes', '1.5')).to.have.length(2)
    expect((await said('--often', '3')).join()).to.contain('--often: unknown')
  })

  it('simulates a single make', async () => {
    const { makes } = JSON.parse((await simulate(hutLedger, '--makes', '1')).out) as { makes: number }
    expect(makes).to.equal(1)
  })
})

describe('other commands', () => {
  it('do not exist, and exit 2', async () => {
    expect((await run('sew', [])).err).to.contain('there is no command “sew”')
  })
})

describe('snowdrift steps', () => {
  const steps = (cover: unknown) => run('steps', ['-'], JSON.stringify(cover))
  interface Printed {
    readonly steps: readonly {
      readonly id: string
      readonly needs?: readonly string[]
      readonly minutes: number
    }[]
    readonly minutes: number
    readonly elapsed: number
    readonly stitch?: unknown
  }

  it('prints them in an order that keeps what each needs, and exits 0', async () => {
    const { code, out, err } = await steps(hutLedger)
    expect({ code, err }).to.deep.equal({ code: 0, err: '' })
    const printed = JSON.parse(out) as Printed
    const done = new Set<string>()
    for (const { id, needs = [] } of printed.steps) {
      expect([...done]).to.include.members([...needs])
      done.add(id)
    }
    expect(printed.steps.map(({ id }) => id)).to.include.members(['cut-outer', 'sew-round', 'try-in'])
    // outer and a doubled flap of 0.28 mm each, to the tick: 3 · 90/320
    expect(printed.stitch).to.deep.equal({ length: '2.5 mm', needle: '80/12', bulk: { mm: 0.8438 } })
    expect(out).not.to.include('[]')
  })

  it('exits 1 with the steps where the cover cannot be made, 2 where it cannot be read', async () => {
    const tight = { ...hutLedger, sizing: { mode: 'rule', measure: 'wrap', addWidth: 0, addHeight: 1 } }
    expect((await steps(tight)).code).to.equal(1)
    const bad = await steps({ ...hutLedger, seam: 'wide' })
    expect([bad.code, bad.out]).to.deep.equal([2, ''])
    expect(bad.err).to.include('seam')
    expect((await run('steps', [])).code).to.equal(2)
  })
})

describe('snowdrift schedule', () => {
  const evening = { start: '2026-12-01T19:00', minutes: 180 }

  it('prints who does what when, keeping to the session', async () => {
    const asked = { covers: [{ id: 'ledger', file: hutLedger }], sessions: [evening], budgetMs: 5 }
    const { code, out, err } = await run('schedule', ['-'], JSON.stringify(asked))
    expect([code, err]).to.deep.equal([0, ''])
    const printed = JSON.parse(out) as {
      readonly sessions: readonly { readonly items: readonly { readonly from: number }[] }[]
      readonly finish: Readonly<Record<string, string>>
      readonly latestStart: string
    }
    expect(printed.sessions[0]?.items.length).to.be.above(10)
    expect(printed.finish.ledger).to.match(/^2026-12-01T20:/)
    expect(printed.latestStart).to.match(/^2026-12-01T/)
  })

  it('exits 1 where a step finds no place, 2 where the request cannot be read', async () => {
    const covers = [{ id: 'ledger', file: hutLedger }]
    const short = { covers, sessions: [{ ...evening, minutes: 20 }], budgetMs: 5 }
    const { code, out } = await run('schedule', ['-'], JSON.stringify(short))
    expect(code).to.equal(1)
    expect(out).to.contain('The sessions end before it.')
    const bad = await run('schedule', ['-'], JSON.stringify({ covers, sessions: [evening, evening] }))
    expect([bad.code, bad.out]).to.deep.equal([2, ''])
    expect(bad.err).to.contain('Sessions may not overlap.')
    expect((await run('schedule', [])).code).to.equal(2)
  })
})

describe('snowdrift learn', () => {
  it('prints what makes tell, and names those left out', async () => {
    const makes = [{ id: 'm1', cutMm: { width: 400 }, sewnMm: { width: 401 } }, { id: 'm2' }]
    const { code, out, err } = await run('learn', ['-'], JSON.stringify({ makes }))
    expect([code, err]).to.deep.equal([0, ''])
    const printed = JSON.parse(out) as { readonly refused: readonly { readonly id: string }[] }
    expect(printed.refused.map(({ id }) => id)).to.deep.equal(['m1'])
  })

  it('exits 2 with nothing printed where the makes cannot be read', async () => {
    const bad = await run('learn', ['-'], JSON.stringify({ makes: [{ id: 'm1', knots: 3 }] }))
    expect([bad.code, bad.out]).to.deep.equal([2, ''])
    expect(bad.err).to.contain('makes[0]')
    expect((await run('learn', [])).code).to.equal(2)
  })
})
