import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from 'chai'
import { extras } from './extras/registry.js'
import { families } from './families/registry.js'
import { severityOf } from './finding/severities.js'

const root = join(import.meta.dirname, '../../..')
const read = (path: string) => readFileSync(join(root, path), 'utf8')
const craft = read('docs/craft.md')
const sections = [...craft.matchAll(/^## (.+)$/gm)].map(([, name = '']) => name)
const tens = ['', '', 'twenty', 'thirty', 'forty', 'fifty']
const ones =
  'none one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  )

/** A count below sixty as it is written in a text. */
function inWords(count: number): string {
  const small = ones[count]
  if (small) return small
  const rest = count % 10
  return `${tens[Math.floor(count / 10)] ?? ''}${rest ? `-${ones[rest] ?? ''}` : ''}`
}

describe('docs/craft.md', () => {
  it('has a section for every way of making', () => {
    expect(sections).to.include.members(families.map(({ words }) => words.name))
  })

  it('has a word on every extra and every finding', () => {
    const codes = [...extras.map(({ type }) => type), ...Object.keys(severityOf)]
    expect(codes.filter(code => !craft.includes(`\`${code}\``))).to.deep.equal([])
  })

  it('has every section that a formula names as its source', () => {
    const sources = join(root, 'packages')
    const named = readdirSync(sources, { recursive: true, encoding: 'utf8' })
      .filter(file => /^\w+.src.*\.tsx?$/.test(file))
      .flatMap(file => {
        const text = readFileSync(join(sources, file), 'utf8').replace(/\s*\n\s*\*\s+/g, ' ')
        return [...text.matchAll(/docs\/craft\.md, ([A-Z][^.*]+)\./g)].map(([, name = '']) => ({
          file,
          name,
        }))
      })
    expect(named).to.have.length.above(50)
    expect(named.filter(({ name }) => !sections.includes(name))).to.deep.equal([])
  })
})

const houses = { 'docs/architecture.md': 40, 'docs/security.md': 15 }

for (const [doc, atLeast] of Object.entries(houses))
  describe(doc, () => {
    it('names no file that is not there', () => {
      const ours = ['packages', 'scripts', 'e2e', 'docs'].flatMap(folder =>
        readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
          .filter(file => !/node_modules|dist/.test(file))
          .map(file => `/${folder}/${file}`),
      )
      const named = [...read(doc).matchAll(/`([\w./-]+\.(?:ts|tsx|mjs|md))`/g)].map(([, name = '']) => name)
      expect(named).to.have.length.above(atLeast)
      expect(named.filter(name => !ours.some(file => file.endsWith(`/${name}`)))).to.deep.equal([])
    })
  })

describe('README.md', () => {
  it('counts the ways of making and the extras that there are', () => {
    const count = `${inWords(families.length)} ways of making and ${inWords(extras.length)} extras`
    expect(read('README.md').toLowerCase()).to.include(count)
  })

  it('links every picture in docs/screenshots', () => {
    const readme = read('README.md')
    const pictures = readdirSync(join(root, 'docs/screenshots'))
    expect(pictures.filter(name => !readme.includes(`docs/screenshots/${name}`))).to.deep.equal([])
  })
})

describe('docs/examples', () => {
  it('has one for every way of making', () => {
    const folder = 'docs/examples'
    const shown = readdirSync(join(root, folder)).map(
      name => (JSON.parse(read(`${folder}/${name}`)) as { readonly family: string }).family,
    )
    expect(shown).to.include.members(families.map(({ id }) => id))
  })
})
