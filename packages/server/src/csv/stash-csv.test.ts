import { expect } from 'chai'
import { decodeText } from './decode-text.js'
import { readStashCsv } from './stash-csv.js'

const read = (text: string, unit: 'in' | 'cm' = 'in') => readStashCsv(text, unit)
const issuesOf = (text: string) => {
  const result = read(text)
  return result.ok ? [] : result.issues.map(({ path, message }) => `${path}: ${message}`)
}

describe('a table of a stash', () => {
  it('is in the workshop’s unit where a cell says none', () => {
    const table =
      'name,role,unit,thickness,pieceSource,pieceWidth,pieceLength\nFelt,outer,,1 mm,sheet,20,30\n'
    const inCm = read(table, 'cm')
    expect(inCm.ok && inCm.entries[0]?.material.unit).to.equal('cm')
    const said = read(table.replace('outer,,', 'outer,mm,'), 'cm')
    expect(said.ok && said.entries[0]?.material.unit).to.equal('mm')
  })

  it('takes lines of one material together, in whichever way they leave the unit out', () => {
    const table =
      'name,role,unit,thickness,pieceSource,pieceWidth,pieceLength\nFelt,outer,,1 mm,sheet,20,30\nFelt,outer,in,1 mm,sheet,5,6\n'
    const both = read(table)
    expect(both.ok && both.entries.map(({ pieces }) => pieces.length)).to.deep.equal([2])
  })

  it('is refused by its first line alone, in a short answer, however long that line is', () => {
    const [issue = ''] = issuesOf(`name${','.repeat(1_000_000)}\n`)
    expect(issue).to.match(/^line 1: Expected columns among name/)
    expect(issue.length).to.be.below(800)
  })

  it('says fifty things at most, and reads no further', () => {
    const bad = `name,role,thickness\n${'Silk,sail,wide\n'.repeat(1900)}`
    expect(issuesOf(bad)).to.have.length(50)
    expect(issuesOf(bad)[0]).to.contain('line 2')
  })

  it('has two thousand lines at most', () => {
    const lines = (count: number) =>
      `name,role,thickness\n${Array.from({ length: count }, (_, n) => `Felt ${n},outer,1 mm`).join('\n')}\n`
    expect(issuesOf(lines(2001))).to.deep.equal([': Expected at most 2000 lines, found more.'])
    const full = read(lines(2000))
    expect(full.ok && full.entries).to.have.length(2000)
  })
})

describe('a table with columns of its own', () => {
  const plain = 'Name,Width,Length,Shelf\nRed twill,18,21,top\nRed twill,9,21,top\n'

  it('is refused with its headings, so that they can be matched', () => {
    const refused = read(plain)
    expect(refused.ok).to.equal(false)
    expect(!refused.ok && refused.headings).to.deep.equal(['Name', 'Width', 'Length', 'Shelf'])
    // what has no name cannot be taken, however it is matched
    const nameless = readStashCsv(plain, 'in', { Width: 'pieceWidth' })
    expect(nameless.ok).to.equal(false)
  })

  it('is taken as it is matched: cloth as a rule, its pieces remnants, what is not matched left out', () => {
    const taken = readStashCsv(plain, 'in', { Name: 'name', Width: 'pieceWidth', Length: 'pieceLength' })
    if (!taken.ok) throw new Error(JSON.stringify(taken.issues))
    expect(taken.entries.map(({ material }) => material.material)).to.deep.equal([
      { name: 'Red twill', role: 'outer', thickness: '0.3 mm' },
    ])
    expect(
      taken.entries[0]?.pieces.map(({ source, width, length }) => [source, width, length]),
    ).to.deep.equal([
      ['remnant', '18', '21'],
      ['remnant', '9', '21'],
    ])
  })
})

describe('the bytes of a table', () => {
  it('are UTF-8 where they can be, with or without its mark', () => {
    expect(decodeText(Buffer.from('Müller, 8 ¾'))).to.deep.equal({ text: 'Müller, 8 ¾' })
    expect(decodeText(Buffer.from('\uFEFFMüller')).text).to.equal('Müller')
  })

  it('are read as what else a spreadsheet writes, and never with a letter lost', () => {
    expect(decodeText(Buffer.from('Müller – ½', 'latin1'))).to.deep.include({ readAs: 'Windows-1252' })
    // M, ü, l, l, e, r and the euro sign, as Windows-1252 has them.
    expect(decodeText(Buffer.from([0x4d, 0xfc, 0x6c, 0x6c, 0x65, 0x72, 0x80])).text).to.equal('Müller€')
    const utf16 = Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from('Müller', 'utf16le')])
    expect(decodeText(utf16)).to.deep.equal({ text: 'Müller', readAs: 'UTF-16' })
  })
})
