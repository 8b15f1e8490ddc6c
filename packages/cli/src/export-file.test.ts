import { mkdtemp, readFile, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { exportKinds } from '@snowdrift/core'
import { expect } from 'chai'
import { run } from './testing/run.js'

const examples = join(import.meta.dirname, '../../../docs/examples')
const ledger = join(examples, 'hut-ledger.json')

const exported = (args: readonly string[], input = '') => run('export', args, input)

describe('snowdrift export', function () {
  this.timeout(60_000)
  let folder = ''
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-export-'))
  })
  after(() => rm(folder, { recursive: true }))

  it('writes every kind, each with its own beginning, and prints nothing', async () => {
    const beginnings = {
      sheet: '%PDF-',
      templates: '%PDF-',
      labels: '%PDF-',
      card: '%PDF-',
      svg: '<?xml',
      dxf: '0\nSECTION',
      hpgl: 'IN;PA;',
      csv: 'list,id',
    }
    for (const kind of exportKinds) {
      const out = join(folder, `ledger.${kind}`)
      expect(await exported([ledger, '--as', kind, `--out=${out}`]), kind).to.deep.equal({
        code: 0,
        out: '',
        err: '',
      })
      const written = (await readFile(out)).toString('latin1').replaceAll('\r', '')
      expect(written.trimStart().slice(0, beginnings[kind].length)).to.equal(beginnings[kind])
    }
  })

  it('writes the same from standard input', async () => {
    const [one, other] = [join(folder, 'file.csv'), join(folder, 'input.csv')]
    await exported([ledger, '--as', 'csv', '--out', one])
    await exported(['-', '--as', 'csv', '--out', other], await readFile(ledger, 'utf8'))
    expect(await readFile(other, 'utf8')).to.equal(await readFile(one, 'utf8'))
  })

  it('says everything that is wrong with how it is called, exits 2 and writes nothing', async () => {
    const out = join(folder, 'never.pdf')
    const { code, out: printed, err } = await exported([ledger, '--as', 'gif', '--paper', 'a9', '--out', out])
    expect([code, printed]).to.deep.equal([2, ''])
    expect(err.trim().split('\n')).to.have.length(2)
    expect(err).to.include('“gif” is unknown').and.to.include('nobody has “a9”')
    expect((await exported(['--as', 'csv'])).err)
      .to.include('Expected one file')
      .and.to.include('--out: expected')
    expect((await exported([ledger, '--sideways'])).err).to.include('--sideways')
    expect(await stat(out).catch(() => 'not there')).to.equal('not there')
  })

  it('names the place of what it cannot read or write', async () => {
    const out = join(folder, 'never.csv')
    expect(
      (await exported(['-', '--as', 'csv', '--out', out], '{"format":"snowdrift/cover","version":99}')).code,
    ).to.equal(2)
    const nowhere = await exported([ledger, '--as', 'csv', '--out', join(folder, 'no', 'such', 'folder.csv')])
    expect(nowhere.code).to.equal(2)
    expect(nowhere.err).to.match(/^--out: .* cannot be written/)
  })

  it('writes a cover that cannot be made all the same, says why and exits 1', async () => {
    const file = JSON.parse(await readFile(ledger, 'utf8')) as object
    const tight = { ...file, sizing: { mode: 'cut', width: '14 in', height: '10 3/8 in' } }
    const out = join(folder, 'tight.csv')
    const { code, err } = await exported(['-', '--as', 'csv', '--out', out], JSON.stringify(tight))
    expect(code).to.equal(1)
    expect(err).to.match(/^will-not-go: /)
    expect((await stat(out)).size).to.be.greaterThan(0)
  })
})
