import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { choose, fill, find, press, pressAt, see, textOf, undo, valueOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

interface Story {
  readonly way: string
  readonly kind: string
  readonly readings: Readonly<Record<string, string>>
  /** The outer as it comes out, in inches; quilting cotton 0.28 mm lined with 0.28 mm. */
  readonly outer: string
  readonly pieces: readonly string[]
  /** Line styles that its picture must show. */
  readonly lines: readonly string[]
}

const book = { Height: '9', Width: '6', Thickness: '3/4', 'Board thickness': '1/8' }
const device = { Height: '7', Width: '5', Thickness: '3/8' }
const pages = { 'Page height': '8', 'Page width': '5 1/2', 'Contents thickness': '1' }

/** s = 0.42 mm, π·s = 1.3195 mm, r = 0.5 mm; all sums in millimetres. */
const stories: readonly Story[] = [
  {
    way: 'Slip-on cover, separate flaps',
    kind: 'Hardcover book',
    readings: book,
    // 323.85 + 3.175 + 1.32 + 5 + 13.7 = 347.04 → 13 3/4; 228.6 + 3.175 + 1.32 + 5 + 13.7 = 251.8 → 10
    outer: '13 3/4 × 10 in',
    pieces: ['outer', 'lining', 'flap'],
    lines: ['seam', 'fold', 'opening'],
  },
  {
    way: 'Cover with turned flaps',
    kind: 'Softcover book',
    readings: { ...book, 'Board thickness': '0' },
    // 323.85 + 1.32 + 1.5 + 101.6 + 13.7 = 441.97 → 17 1/2; 228.6 + 1.32 + 5 + 13.7 = 248.62 → 9 7/8
    outer: '17 1/2 × 9 7/8 in',
    pieces: ['outer', 'lining'],
    lines: ['fold', 'stitch', 'opening'],
  },
  {
    way: 'Adjustable wrap',
    kind: 'Softcover book',
    readings: { ...book, 'Board thickness': '0' },
    // midway from the grip of 3 to 4 before the strap, 3 1/2 in free: 101.6 + 323.85 + 1.32 + 5 + 88.9 + 13.7 = 534.37 → 21 1/8
    outer: '21 1/8 × 9 7/8 in',
    pieces: ['outer', 'lining', 'strap'],
    lines: ['fold', 'stitch'],
  },
  {
    way: 'Glued wrap',
    kind: 'Hardcover book',
    readings: book,
    // 12 3/4 + 2·2 by 9 + 4
    outer: '16 3/4 × 13 in',
    pieces: ['outer'],
    lines: ['fold', 'slit', 'hem'],
  },
  {
    way: 'Board cover',
    kind: 'Journal',
    readings: pages,
    // boards 6 × 8 1/2, spine 1 1/4; gap √2·2 + 0.28 = 3.1084: 304.8 + 6.217 + 31.75 + 50.8 = 393.57 → 15 1/2; 215.9 + 50.8 → 10 1/2
    outer: '15 1/2 × 10 1/2 in',
    pieces: ['board', 'spine-board', 'outer', 'lining', 'spine-lining'],
    lines: ['fold', 'slit', 'elastic'],
  },
  {
    way: 'Soft wrap',
    kind: 'Journal',
    readings: pages,
    // 2·6 + 2·1 + 2 by 8 + 1
    outer: '16 × 9 in',
    pieces: ['outer', 'lining', 'stiffener'],
    lines: ['fold', 'stitch'],
  },
  {
    way: 'Sleeve',
    kind: 'Tablet or reader',
    readings: device,
    // edges eased by 9.525/4: 127 + 9.525 − 2.04 + 1.32 + 8 + 13.7 = 157.5 → 6 1/4;
    // 177.8 + 4.76 − 1.02 + 0.66 + 10 + 13.7 = 205.9 → 8 1/8
    outer: '6 1/4 × 8 1/8 in',
    pieces: ['outer', 'lining'],
    lines: ['seam'],
  },
  {
    way: 'Zip pouch',
    kind: 'Tablet or reader',
    readings: device,
    // 177.8 + 9.525 − 2.04 + 1.32 + 10 + 13.7 − 3.175 = 207.13 → 8 1/4
    outer: '6 1/4 × 8 1/4 in',
    pieces: ['outer', 'lining', 'pocket-outer', 'pocket-lining'],
    lines: ['seam', 'zip'],
  },
  {
    way: 'Fold-over case',
    kind: 'Tablet or reader',
    readings: device,
    // 136.525 − 2.04 + π·0.42 + 8 + 13.7 = 157.5 → 6 1/4;
    // 2·(177.8 + 4.7625) + 9.525 − 4.09 + 1.32 + 20 + 13.7 = 405.58 → 16
    outer: '6 1/4 × 16 in',
    pieces: ['outer', 'lining', 'pocket', 'zip-pocket-low', 'zip-pocket-high'],
    lines: ['seam', 'fold', 'zip'],
  },
  {
    way: 'Zip-around cover',
    kind: 'Planner',
    // a coil that does not stand proud: π/2 · 1/4 in is less than the thickness
    readings: { ...book, 'Coil diameter': '1/4' },
    // s_g = 0.42: 323.85 + 1.32 + 0.84 + 9.525 + 19.05 = 354.58 → 14; s_f = 0.42: 228.6 + 6.35 + 1.32 + 28.575 = 264.84 → 10 1/2
    outer: '14 × 10 1/2 in',
    pieces: ['outer', 'gusset', 'gusset-lining', 'flap', 'lining', 'piping'],
    lines: ['fold', 'zip'],
  },
]

describe('every way of making, from the tape to paper', function () {
  this.timeout(240_000)
  let site: Site
  let page: Page
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
  })

  for (const { way, kind, readings, outer, pieces, lines } of stories)
    it(`${way}: measured, planned, pictured, printed`, async () => {
      await page.goto(`${site.address()}/new`)
      await pressAt(page, `label ::-p-text(${kind})`)
      await fill(page, 'What do you call it?', way)
      await press(page, 'Measure it')
      await see(page, 'What it is')
      await wayOf(page, way)
      await page.goto(page.url().replace('/make-up', '/measure'))
      await see(page, 'What it is')
      for (const [reading, value] of Object.entries(readings)) await fill(page, reading, value)
      await page.waitForSelector('[data-picture="strip"] svg')
      for (const style of lines) await page.waitForSelector(`[data-picture="strip"] .mark-${style}`)
      for (const view of ['Inside', 'Open']) await press(page, view)
      await page.waitForSelector('svg[aria-label="The cover laid flat, seen from inside"]')
      await page.waitForSelector('[data-picture="end-on"] svg')
      await pressAt(page, 'nav ::-p-text(Pieces)')
      await see(page, outer, '[data-piece="outer"]')
      expect(await idsOf(page)).to.deep.equal(pieces)
      expect(await page.$$('[data-joining] svg')).not.to.have.length(0)
      await press(page, 'Cutting list')
      await see(page, 'the arrow points to the top')
      expect(await idsOf(page)).to.deep.equal(pieces)
      expect(await page.$$('svg[aria-label^="The cover laid flat"]')).to.have.length(2)
      const paper = await page.pdf({ format: 'A4' })
      expect(paper.length).to.be.above(8000)
    })
})

describe('choosing, comparing and adding', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await press(page, 'Hut ledger, with ties')
    await press(page, 'Make-up: settled')
  })

  it('shows the ways that suit first, each with its picture, and switches keeping what has a meaning', async () => {
    await press(page, 'Other ways of making')
    const ways = await page.$$eval('[data-way]', rows =>
      rows.map(row => ({ way: row.getAttribute('data-way'), drawn: row.querySelector('svg') !== null })),
    )
    expect(ways).to.have.length(10)
    expect(ways.slice(0, 5).every(({ drawn }) => drawn)).to.equal(true)
    await see(page, 'Hardly suits', '[data-way="sleeve"]')
    await press(page, 'Make it this way: Cover with turned flaps')
    expect(await valueOf(page, 'Flap depth')).to.equal('3')
    await see(page, 'Pair of ties', '[data-extra="tie-pair"]')
    await undo(page)
    await see(page, 'Slip-on cover, separate flaps')
  })

  it('applies a recipe by its row, and says what differs', async () => {
    await see(page, 'Differs: seam 1/2 in', '[data-recipe="two-inches"]')
    await press(page, 'Two inches')
    await see(page, 'Differs: seam 1/4 in', '[data-recipe="computed"]')
    await undo(page)
  })

  it('lays a pocket on the flap, moved by keys and by dragging, exact numbers always possible', async () => {
    await press(page, 'Patch pocket')
    const handle = await page.waitForSelector('[data-extra="pocket-patch"] [data-at]')
    if (!handle) throw new Error('No pocket to move')
    const placeOf = () =>
      handle.evaluate(element => element.getAttribute('data-at')?.split(' ').map(Number) ?? [])
    const [x = 0, y = 0] = await placeOf()
    await handle.focus()
    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('ArrowUp')
    // onto the tape’s marks, and two of them up: sixteenths, 1.5875 mm
    expect((await placeOf())[1]).to.be.closeTo((Math.round(y / 1.5875) + 2) * 1.5875, 0.02)
    expect((await placeOf())[0]).to.be.closeTo(x, 0.2)
    const box = await handle.boundingBox()
    if (!box) throw new Error('The pocket is not in sight')
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2 - 4, box.y + box.height / 2 + 30, { steps: 5 })
    await page.mouse.move(box.x - 30, box.y + 200, { steps: 5 })
    await page.mouse.up()
    // snapped into the lower left corner
    await page.waitForFunction(() => document.querySelector('[data-at]')?.getAttribute('data-at') === '0 0')
    await pressAt(page, '[data-extra="pocket-patch"] summary')
    await fill(page, 'From below', '2')
    await page.waitForFunction(
      () => document.querySelector('[data-at]')?.getAttribute('data-at') === '0 50.8',
    )
  })

  it('says when it hangs over, lies on another, or makes the page stand up', async () => {
    await choose(page, 'Sits on', 'front-flap')
    await fill(page, 'Pocket width', '4')
    await see(page, 'Patch pocket reaches 1 in over the edge of the front flap.')
    await choose(page, 'Sits on', '')
    await fill(page, 'Pocket width', '2')
    await fill(page, 'What goes in is thick', '3/8')
    await see(page, 'above 3/16 in the page no longer lies flat')
    await press(page, 'Faced pocket')
    await see(page, /Patch pocket and faced pocket lie .* over each other/)
    await press(page, 'Take off: faced pocket')
    await press(page, 'Take off: patch pocket')
  })

  it('turns the question round, and makes it so', async () => {
    await choose(page, 'What is made as large as it can be', await valueNamed(page, 'flap depth'))
    await fill(page, 'Its width', '42')
    await fill(page, 'Its length', '36')
    const section = '[aria-label="How far this piece goes"]'
    // 3/8 in short of the board: 6 5/8 − 3/8
    await see(page, 'Up to 6 1/4 in for flap depth', section)
    await see(page, 'Can be cut from it: slip-on cover', section)
    await press(page, 'Make it so')
    expect(await valueOf(page, 'Flap depth')).to.equal('6 1/4 in')
  })

  it('asks the finished cover what else on the shelf it takes', async () => {
    await press(page, 'Pieces: settled')
    await press(page, 'Ask for the whole shelf')
    await see(page, 'takes it', '[data-takes="Hut ledger"]')
    await see(page, 'no, will not go on', '[data-takes="Star atlas"]')
    await see(page, 'not measured for that', '[data-takes="Weather booklets"]')
  })

  it('measures the books of a series, and says whom one cover serves', async () => {
    await page.goto(site.address())
    await press(page, 'Course handbooks, one wrap for all')
    await see(page, 'Book 5 served')
    await press(page, 'Another book')
    await see(page, 'Still to measure')
    for (const [reading, value] of Object.entries({ Height: '7', Width: '6', Thickness: '5/8' }))
      await fill(page, reading, value)
    await find(page, 'Make-up: has a warning')
    await see(page, 'Book 6 not served')
    await pressAt(page, 'nav ::-p-text(Pieces)')
    await see(page, 'These books want 2 covers')
    expect(await textOf(page, '[data-fewest]')).to.contain('6')
  })
})

/** Chooses a way of making in the make-up station, if it is not the one in use. */
async function wayOf(page: Page, way: string): Promise<void> {
  await pressAt(page, 'nav ::-p-text(Make-up)')
  await see(page, 'Added to it')
  if ((await textOf(page, '[aria-label="Way of making"] h3')) === way) return
  await press(page, 'Other ways of making')
  await press(page, `Make it this way: ${way}`)
  await see(page, way, '[aria-label="Way of making"] h3')
  await see(page, 'Saved', '[aria-label="Saving"]')
}

async function idsOf(page: Page): Promise<readonly (string | null)[]> {
  return page.$$eval('li[data-piece]', items => items.map(item => item.getAttribute('data-piece')))
}

/** The value behind a choice that reads so. */
async function valueNamed(page: Page, words: string): Promise<string> {
  return page.$$eval(
    'option',
    (options, wanted) => options.find(option => option.textContent === wanted)?.value ?? '',
    words,
  )
}
