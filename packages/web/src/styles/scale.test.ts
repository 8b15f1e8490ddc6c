import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from 'chai'

const source = join(import.meta.dirname, '..')
const docs = readFileSync(join(source, '../../../docs/look.md'), 'utf8')
const styles = readFileSync(join(source, 'styles/app.css'), 'utf8')
const lines = readFileSync(join(source, 'styles/drawing.css'), 'utf8')
const screens = readdirSync(source, { recursive: true, encoding: 'utf8' })
  .filter(path => path.endsWith('.tsx'))
  .map(path => [path, readFileSync(join(source, path), 'utf8')] as const)

/** What is used anywhere of a kind, each with a file that uses it. */
function usedIn(pattern: RegExp): ReadonlyMap<string, string> {
  return new Map(
    screens.flatMap(([path, text]) => [...text.matchAll(pattern)].map(([use]) => [use, path] as const)),
  )
}

/** A class that rounds corners: within quotes, so that sizes may be rounded in words. */
const CORNER = /(?<=["`](?:[^"`\n]*\s)?)rounded(?:-(?:none|xs|sm|md|lg|xl|full|\[[^\]]*\]))?(?=["`\s])/g

describe('the look', () => {
  it('has letters of the written sizes only, and uses each', () => {
    const written = new Set(docs.match(/text-(?:xs|sm|base|lg|xl|\dxl)/g))
    const used = usedIn(/\btext-(?:xs|sm|base|lg|xl|\dxl|\[[^\]]*\])(?![-\w])/g)
    expect([...used].filter(([size]) => !written.has(size))).to.deep.equal([])
    expect([...written].filter(size => !used.has(size))).to.deep.equal([])
  })

  it('has the written corners only', () => {
    const written = new Set(docs.match(/rounded-(?:sm|md|full)/g))
    const used = usedIn(CORNER)
    expect([...used].filter(([corner]) => !written.has(corner))).to.deep.equal([])
  })

  it('knows corners from what is rounded in words', () => {
    expect('<p className="px-2 rounded-xl border rounded">'.match(CORNER)).to.deep.equal([
      'rounded-xl',
      'rounded',
    ])
    expect('<p className="px-2">\n  Sizes are rounded up to the grid\n</p>'.match(CORNER)).to.equal(null)
  })

  it('has room in steps of four pixels and their halves, up to where a page has its edge', () => {
    const used = usedIn(/(?<=["'`\s:])(?:gap|gap-x|gap-y|p|px|py|pt|pb|pr|m|mx|my|mt|mb|mr)-[\d.[][^"'`\s]*/g)
    const known = /-(?:0|0\.5|1|1\.5|2|2\.5|3|4|5|6|7|8|10|12|16)$/
    expect([...used].filter(([room]) => !known.test(room))).to.deep.equal([])
  })

  it('has lines of the written weights only, each as wide as it is written', () => {
    const weights = [...docs.matchAll(/\| `--(\w+)` +\| ([\d.]+) +\|/g)].map(([, name, px]) => [name, px])
    const set = [...lines.matchAll(/^ {2}--(\w+): ([\d.]+);/gm)].map(([, name, px]) => [name, px])
    expect(set).to.deep.equal(weights)
    const others = [
      ...lines.matchAll(/stroke-width: (?!var\(--(?:fine|line|strong|heavy|broad|band)\))([^;]+);/g),
    ]
    // the pale edge of letters goes by their size; where one may take hold is seen by nobody
    expect(others.map(([, width]) => width)).to.deep.equal(['0.17em', '24', '34'])
  })
})

type Colours = Readonly<Record<string, string>>

function coloursIn(block: string): Colours {
  return Object.fromEntries(
    [...block.matchAll(/--([\w-]+): (#[0-9a-f]{6});/g)].map(([, name = '', colour = '']) => [name, colour]),
  )
}

/** How bright a colour is, from 0 to 1. Source: WCAG 2.2, relative luminance. */
function luminance(colour: string): number {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5]
    .map(at => parseInt(colour.slice(at, at + 2), 16) / 255)
    .map(part => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4))
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue
}

function contrast(one: string, other: string): number {
  const [dark = 0, bright = 0] = [luminance(one), luminance(other)].toSorted((a, b) => a - b)
  return (bright + 0.05) / (dark + 0.05)
}

describe('the colours', () => {
  const looks = {
    light: coloursIn(/^:root \{([^}]*)\}/m.exec(styles)?.[1] ?? ''),
    dark: coloursIn(/^:root\[data-theme='dark'\] \{([^}]*)\}/m.exec(styles)?.[1] ?? ''),
  }

  it('reckon contrast as the standard does', () => {
    expect(contrast('#000000', '#ffffff')).to.be.closeTo(21, 1e-9)
    // #777777 on white is just too weak, by the standard’s own example
    expect(contrast('#777777', '#ffffff')).to.be.closeTo(4.48, 0.005)
  })

  it('are the written ones, in the light and in the dark', () => {
    const written = [...(/## Colours[^]*/.exec(docs)?.[0] ?? '').matchAll(/^\| (`[^|]*?) +\|/gm)].flatMap(
      ([, names = '']) => [...names.matchAll(/`([\w-]+)`/g)].map(([, name]) => name),
    )
    for (const colours of Object.values(looks)) expect(Object.keys(colours)).to.have.members(written)
  })

  for (const [look, colours] of Object.entries(looks)) {
    const of = (name: string) => colours[name] ?? expect.fail(`No colour ${name}`)
    it(`are read on every ground: ${look}`, () => {
      const weak = ['ink', 'soft', 'thread', 'good', 'caution', 'bad'].flatMap(word =>
        ['ground', 'surface', 'sunken'].flatMap(ground => {
          const by = contrast(of(word), of(ground))
          return by < 4.5 ? [`${word} on ${ground}: ${by.toFixed(2)}`] : []
        }),
      )
      expect(weak).to.deep.equal([])
      expect(contrast(of('on-thread'), of('thread'))).to.be.at.least(4.5)
      expect(contrast(of('ink'), of('thread-soft'))).to.be.at.least(4.5)
    })

    it(`have lines that are seen: ${look}`, () => {
      for (const ground of ['ground', 'surface'])
        expect(contrast(of('strong-rule'), of(ground))).to.be.at.least(3)
    })
  }
})
