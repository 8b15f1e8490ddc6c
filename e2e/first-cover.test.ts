import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { choose, fill, find, press, pressAt, see, textOf, undo, valueOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('a first cover, from the tape to the cutting list', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
  })

  it('shows the shelf with the demo covers, all to one scale', async () => {
    await see(page, 'Hut ledger, with ties')
    // Covers are planned one after the other: their pictures come in turn.
    const pictures = 'ul[aria-label="Covers"] svg[height]:not(.lucide)'
    await page.waitForFunction((all: string) => document.querySelectorAll(all).length === 12, {}, pictures)
    const heights = await page.$$eval(pictures, drawn =>
      drawn.map(picture => Number(picture.getAttribute('height'))),
    )
    // finished heights 249.83 mm (9 27/32 in) and 327.81 mm (12 29/32 in): 0.7718
    const [ledger = 0, , , , , , , , atlas = 0] = heights
    expect(ledger / atlas).to.be.closeTo(249.83 / 324.64, 0.002)
    await see(page, 'will not go on · 2 things to say')
    await see(page, 'Old field guide')
  })

  it('begins with what it is', async () => {
    await press(page, 'Cover something')
    await see(page, 'What is it?')
    await press(page, 'Hardcover book stiff boards, a spine of its own')
    await fill(page, 'What do you call it?', 'Weather diary')
    await press(page, 'Measure it')
    await see(page, 'The picture appears with the last reading it needs.')
    await see(page, 'wrap, or open width, or width and thickness')
    // the thing itself stands there, with the tape for the reading in hand and what goes wrong with it
    await see(page, 'Not the pages: the boards stand out beyond them.', '[data-picture="thing"]')
    const shape = () =>
      page.$eval('[data-picture="thing"] .fill-outside', body => {
        const { width, height } = (body as SVGPathElement).getBBox()
        return height / width
      })
    // 230 to 155 as hardcovers are, 2 to 1 once it is measured so
    expect(await shape()).to.be.closeTo(230 / 155, 0.01)
    await fill(page, 'Height', '8')
    await fill(page, 'Width', '4')
    await see(page, 'Not from the hinge', '[data-picture="thing"]')
    expect(await shape()).to.be.closeTo(2, 0.01)
    expect(await valueOf(page, 'Name of the cover')).to.equal('Cover for Weather diary')
  })

  it('takes the readings as they are said, and plans as soon as it can', async () => {
    await fill(page, 'Height', '9 3/8')
    await fill(page, 'Width', '6 5/8')
    await fill(page, 'Thickness', '1 3/16')
    await fill(page, 'Board thickness', '1/8')
    // s = 0.28125 + 0.140625; 336.55 + 30.1625 + 3.175 + 1.3254 + 5 + 12.7 + 1 = 389.91 → 15 3/8 in
    await press(page, 'Pieces: settled')
    await see(page, '15 3/8 × 10 3/8 in', '[data-piece="outer"]')
    await see(page, /Snug/)
  })

  it('says when readings disagree, and again when they do not', async () => {
    await press(page, 'Measure: settled')
    await fill(page, 'Wrap', '14 3/4')
    await see(page, 'The wrap reads 14 3/4 in; twice the width and the spine make 14 7/16 in.')
    await find(page, 'Measure: has a warning')
    await fill(page, 'Wrap', '14 1/2')
    await find(page, 'Measure: settled')
    await press(page, 'Another reading of height')
    await fill(page, 'Height, reading 2', '9 1/8')
    await see(page, 'Height was read from 9 1/8 in to 9 3/8 in, 1/4 in apart.')
    await fill(page, 'Height, reading 2', '9 5/16')
    // emptied to be typed anew, the first reading does not give its place to the second
    await fill(page, 'Height', '')
    expect(await valueOf(page, 'Height, reading 2')).to.equal('9 5/16')
    await fill(page, 'Height', '9 3/8')
    expect(await valueOf(page, 'Height, reading 2')).to.equal('9 5/16')
    await find(page, 'Measure: settled')
  })

  it('shows the effect of each recipe before it is chosen, and the fit that follows', async () => {
    await press(page, 'Make-up: settled')
    // wrap 14 1/2 + 1 1/2 = 16; 9 3/8 + 1 1/2 = 10 7/8
    await see(page, /Inch and a half roomy .*16 × 10 7\/8 in/, '[data-recipe="inch-and-a-half"]')
    await see(page, 'Inch and a half and Two inches: another seam, the same fit.')
    await press(page, 'Two inches')
    await press(page, 'Pieces: settled')
    // 16 1/2 by 11 3/8; flaps 3/4 · 6 5/8 + 1/2 = 5 15/32 → 5 1/2
    await see(page, '16 1/2 × 11 3/8 in', '[data-piece="outer"]')
    await see(page, '5 1/2 × 11 3/8 in', '[data-piece="flap-outer"]')
    await undo(page)
    await see(page, '15 1/2 × 10 3/8 in', '[data-piece="outer"]')
  })

  it('answers every keystroke in the picture', async () => {
    await press(page, 'Make-up: settled')
    const cutEdge = () => page.$eval('[data-picture="strip"] .mark-cut', path => path.getAttribute('d'))
    const before = await cutEdge()
    await fill(page, 'Seam allowance', '1/2')
    await page.waitForFunction(
      known => document.querySelector('[data-picture="strip"] .mark-cut')?.getAttribute('d') !== known,
      {},
      before,
    )
    await fill(page, 'Flap depth', '6 1/2')
    await see(page, 'The flaps are 6 1/2 in deep; the board takes 6 1/4 in at the most.')
    await press(page, 'Make the flaps 6\u00a01\u20444\u00a0in')
    expect(await valueOf(page, 'Flap depth')).to.equal('6 1/4 in')
    await fill(page, 'Flap depth', '3')
    await find(page, 'Make-up: settled')
  })

  it('counts every layer', async () => {
    // thin cotton alone under a hardcover: worth a word
    await press(page, 'Layers: has something to say')
    await see(page, 'Quilting cotton is 0.28 mm thin and has no body of its own.')
    await see(page, 'Bulk underneath: 0.42 mm')
    await press(page, 'Padding')
    // fusible fleece 3 mm, squash 0.4: 2.4 more
    await choose(page, 'Material', 'Plain cotton, fog')
    await see(page, /Bulk underneath: 2\.\d+ mm/)
    await page.waitForSelector('[data-layer="padding"]')
  })

  it('says why each size is what it is: reasons that add up', async () => {
    await press(page, 'Pieces: settled')
    await pressAt(page, '[data-piece="outer"] summary')
    const { rows, cut } = await page.$eval('[data-piece="outer"] table', table => ({
      rows: [...table.querySelectorAll('tbody td')].map(
        cell => /\(([−\d.]+)\)/.exec(cell.textContent)?.[1] ?? '',
      ),
      cut: table.querySelector('tfoot td')?.textContent ?? '',
    }))
    const sum = rows.reduce((total, row) => total + Number(row.replace('−', '-')), 0)
    const [, whole = '0', top = '0', bottom = '1'] = /(\d+)\s(\d+)\u2044(\d+)/.exec(cut) ?? []
    expect(sum).to.be.closeTo(Number(whole) + Number(top) / Number(bottom), 0.002)
  })

  it('is shown in what the workshop measures in, and reckoned in that only where it is asked for', async () => {
    const before = await outerWidthMm(page)
    const address = page.url()
    await page.goto(`${site.address()}/settings`)
    await choose(page, 'Unit', 'mm')
    await see(page, 'Saved', 'section[aria-label="Workshop"] [role="status"]')
    await page.goto(address)
    await see(page, / mm/, '[data-piece="outer"]')
    // to a tenth of a millimetre: nothing was reckoned anew
    expect(await outerWidthMm(page)).to.be.closeTo(before, 0.06)
    await press(page, 'Measure: settled')
    expect(await valueOf(page, 'Height')).to.equal('9 3/8 in')
    await see(page, '238.1 mm', '[data-reading="height"]')
    await choose(page, 'Reckoned in', 'mm')
    await press(page, 'Pieces: settled')
    // the grid is a millimetre now: the same size to within an eighth of an inch
    await page.waitForFunction(() =>
      /(?<![\d.])\d+ × \d+ mm/.test(
        document.querySelector('[data-piece="outer"] summary')?.textContent.replace(/\s+/g, ' ') ?? '',
      ),
    )
    expect(Math.abs((await outerWidthMm(page)) - before)).to.be.below(3.2)
  })

  it('comes back to the same state when the window is closed and opened again', async () => {
    await see(page, 'Saved', '[aria-label="Saving"]')
    // what earlier covers taught is fetched for itself, and comes a moment after the pieces
    const taught = 'padding: the padding bunched at the corners'
    await see(page, taught)
    const [address, before] = [new URL(page.url()).pathname, await textOf(page, 'main')]
    await page.close()
    page = await site.visit(address)
    await page.waitForSelector('[data-piece="outer"]')
    await see(page, taught)
    expect(await textOf(page, 'main')).to.equal(before)
  })

  it('prints a cutting list with a sketch of every piece and an arrow to its top', async () => {
    await press(page, 'Cutting list')
    await page.waitForSelector('li[data-piece] svg text')
    await see(page, 'Cover for Weather diary')
    const pieces = await page.$$eval('li[data-piece]', items =>
      items.map(item => ({
        id: item.getAttribute('data-piece'),
        top: [...item.querySelectorAll('svg text')].some(text => text.textContent === 'top'),
        arrow: item.querySelectorAll('svg .mark-hint[marker-end]').length,
      })),
    )
    expect(pieces.map(({ id }) => id)).to.deep.equal(['outer', 'lining', 'padding', 'flap'])
    expect(pieces.every(({ top, arrow }) => top && arrow === 1)).to.equal(true)
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }])
    await page.emulateMediaType('print')
    const ink = await page.$eval('h1', title => getComputedStyle(title).color)
    expect(ink).to.equal('rgb(0, 0, 0)')
    const hidden = await page.$eval('header', header => getComputedStyle(header).display)
    expect(hidden).to.equal('none')
    const paper = await page.pdf({ format: 'A4' })
    expect(Buffer.from(paper.subarray(0, 5)).toString()).to.equal('%PDF-')
  })
})

async function outerWidthMm(page: Page): Promise<number> {
  const text = await textOf(page, '[data-piece="outer"] summary')
  const [, inches, top = '0', bottom = '1'] = /(\d+)(?: (\d+)\/(\d+))? × \d[\d /]* in/.exec(text) ?? []
  if (inches !== undefined) return (Number(inches) + Number(top) / Number(bottom)) * 25.4
  return Number(/([\d.]+) × [\d.]+ mm/.exec(text)?.[1])
}
