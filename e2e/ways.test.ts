import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { fill, find, press, pressAt, see, swipe, valueOf } from './testing/hands.js'
import { phone, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'
import { cursorIn, timeHands } from './testing/stopwatch.js'

const mostByHand = 30
const mostByKeyboard = 25

describe('eleven ways through, from the empty shelf to the list', function () {
  this.timeout(180_000)
  let site: Site
  useSite(
    opened => {
      site = opened
    },
    { demo: false },
  )

  async function begin(kind: string, name: string, size?: Parameters<Site['visit']>[1]): Promise<Page> {
    const page = await site.visit('/new', size)
    await press(page, kind)
    await fill(page, 'What do you call it?', name)
    await press(page, 'Measure it')
    await find(page, 'Measure: waits')
    return page
  }
  const close = (page: Page) => page.browserContext().close()

  it('by hand: a first cover for a book, in half a minute', async () => {
    const page = await site.visit('/')
    await see(page, 'Nothing stands here yet.')
    const hands = timeHands(page)
    await hands.click('Cover something')
    await see(page, 'What is it?')
    await hands.click('Measure it')
    await cursorIn(page, 'Height')
    await hands.type('9 3/8')
    await hands.key('Enter')
    await cursorIn(page, 'Wrap')
    await hands.type('14 1/2')
    await find(page, 'Pieces: settled')
    await hands.click('Cutting list')
    await see(page, 'points to the top')
    // board assumed: half a board at each fore-edge 2.5 mm; 368.3 + 2.5 + π·0.42 + 5 + 12.7 + 1 = 390.8 → 15 1/2 in
    await see(page, '1 × 15 1/2 × 10 3/8 in', '[data-piece="outer"]')
    expect(hands.seconds()).to.be.at.most(mostByHand)
    await close(page)
  })

  it('by keyboard alone: the same, with the cursor in the first reading at once', async () => {
    const page = await site.visit('/')
    await find(page, 'Cover something')
    const hands = timeHands(page)
    await hands.key('n')
    await see(page, 'What is it?')
    await page.waitForFunction(() => document.activeElement?.matches('input[type="radio"]'))
    await hands.key('ArrowDown', 'Enter')
    // not one Tab to the first reading
    await cursorIn(page, 'Height')
    await hands.type('8')
    await hands.key('Enter')
    await hands.type('11 1/4')
    await hands.key('Escape')
    await find(page, 'Pieces: settled')
    await hands.key('5')
    await page.waitForSelector('[data-piece="outer"]')
    await hands.key('p')
    await see(page, 'points to the top')
    expect(hands.seconds()).to.be.at.most(mostByKeyboard)
    await close(page)
  })

  it('by its stations: each has a way on, and the browser’s Back goes one back', async () => {
    const page = await begin('Notebook stitched, glued or coil-bound', 'Trail notes')
    await fill(page, 'Height', '6')
    await page.keyboard.press('Enter')
    await page.keyboard.type('9 1/4')
    for (const next of ['make-up', 'layers', 'fit', 'pieces', 'layout', 'make']) {
      await press(page, `Next: ${next}`)
      await page.waitForFunction(here => location.pathname.endsWith(here), {}, `/${next}`)
      // the station has the focus: its first field is the next Tab
      await page.waitForFunction(() => document.activeElement?.getAttribute('role') === 'region')
    }
    await page.goBack()
    await page.waitForFunction(() => location.pathname.endsWith('/layout'))
    await page.goBack()
    await see(page, 'To cut')
    await page.goBack()
    await see(page, 'Ease to aim at')
    expect(await page.title()).to.equal('Cover for Trail notes · Fit · Snowdrift')
    await page.goForward()
    await page.goForward()
    await page.goForward()
    await press(page, 'Next: the cutting list')
    await see(page, 'points to the top')
    expect(await page.title()).to.equal('Cover for Trail notes · Cutting list · Snowdrift')
    await close(page)
  })

  it('for a planner on its coil: the kind brings the spine, and the coil is asked for', async () => {
    const page = await begin('Planner on a coil, discs or rings', 'Rota')
    expect(await valueOf(page, 'Spine')).to.equal('coil')
    await fill(page, 'Height', '8 5/8')
    await fill(page, 'Width', '7 1/4')
    // what is begun is named first, and nothing that was read
    await see(page, 'thickness, or wrap, or open width', '[aria-label="Live picture"]')
    await fill(page, 'Thickness', '3/4')
    await see(page, 'coil diameter, or wrap', '[aria-label="Live picture"]')
    await find(page, 'Measure: waits')
    await fill(page, 'Coil diameter', '1 1/8')
    await press(page, 'Pieces: settled')
    // 2·7 1/4 + π/2·1 1/8 = 16.267 in; + 1 mm of board, bulk 1.3, ease 5, seams 12.7, turned 1: 434.2 mm → 17 1/8 in
    await see(page, '17 1/8 ×', '[data-piece="outer"]')
    await close(page)
  })

  it('for a reader without calipers: no spine is asked for, and a wrap gives its thickness', async () => {
    const page = await begin('Tablet or reader any flat, rigid device', 'Night reader')
    expect(await page.$$('[data-reading]')).not.to.have.length(0)
    expect(await page.evaluate(() => document.body.innerText)).not.to.match(/\bSpine\b|fold right back/)
    await fill(page, 'Height', '6 3/8')
    await fill(page, 'Width', '4 1/2')
    // nobody measures it: 10 mm is taken, and said
    await find(page, 'Pieces: settled')
    await see(page, 'Nobody measured how thick it is')
    await fill(page, 'Wrap', '9 3/8')
    // 9 3/8 − 2·4 1/2 = 3/8
    await press(page, 'Pieces: settled')
    await pressAt(page, '[data-piece="outer"] summary')
    await see(page, 'less the width, twice', '[data-piece="outer"]')
    await press(page, 'Cutting list')
    await see(page, 'points to the top')
    await close(page)
  })

  it('for loose signatures in boards: boards and card come in sheets, and nothing is sewn', async () => {
    const page = await begin('Journal loose signatures that the cover itself will hold', 'Botany')
    await fill(page, 'Page height', '8 1/4')
    await fill(page, 'Page width', '5 3/4')
    await fill(page, 'Contents thickness', '1')
    await press(page, 'Layout: settled')
    await see(page, /sheets? of 8 1\/2 × 11 in to buy\./, '[data-group^="card"]')
    await see(page, /: \d+ sheets? of /, '[data-buy^="board"]')
    await press(page, 'Cutting list')
    await see(page, 'Glued: the turn-ins are included, and there is no seam.')
    await close(page)
  })

  it('for a series: another book at once, whom it serves, and the free end that serves more', async () => {
    const page = await begin('Softcover book a limp paper cover', 'Course, first part')
    for (const [name, value] of [
      ['Height', '9'],
      ['Width', '6'],
      ['Thickness', '3/4'],
    ] as const)
      await fill(page, name, value)
    await find(page, 'Pieces: settled')
    await press(page, 'Another book')
    await see(page, 'One cover for a whole series')
    await press(page, 'Book 2')
    for (const [name, value] of [
      ['Height', '9'],
      ['Width', '6'],
      ['Thickness', '1/4'],
    ] as const)
      await fill(page, name, value)
    // the free end of 3 1/2 leaves 4 over the thinner: both are served; one of 4 leaves
    // 4 1/2, where the strap lies on the fold
    await see(page, 'Book 2 served')
    await press(page, 'Make-up: settled')
    await fill(page, 'Free end', '4')
    await see(page, 'Serves 1 of 2 books', '[aria-label="Live picture"]')
    await pressAt(page, '[data-finding="book-not-served"] button')
    await see(page, /^(Snug|Easy)/, '[aria-label="Live picture"]')
    await close(page)
  })

  it('by a rule of one’s own: a row of the comparison, with its seam', async () => {
    const page = await begin('Hardcover book stiff boards, a spine of its own', 'Ledger')
    await fill(page, 'Height', '9 3/8')
    await fill(page, 'Wrap', '14 1/2')
    await press(page, 'Make-up: settled')
    await see(page, /My own rule .*16 × 10 7\/8 in seam 1\/4 in/, '[data-recipe="rule"]')
    await see(page, /10 1\/\d in|10 \d\/8 in/, '[data-recipe="computed"]')
    await press(page, 'My own rule')
    await fill(page, 'Added to the width', '2')
    await see(page, '16 1/2 × 10 7/8 in', '[data-recipe="rule"]')
    await press(page, 'Computed')
    await fill(page, 'Ease to aim at, round it', '1/2')
    // 1/2 in and what rounding up adds
    await see(page, /(1\/2|[5-9]\/16|1[79]\/32|2\d\/32) in width, (easy|roomy)/, '[data-recipe="computed"]')
    await close(page)
  })

  it('by the fit: the tightest that goes, the most comfortable beside it, and slips together', async () => {
    const page = await begin('Hardcover book stiff boards, a spine of its own', 'Fit of it')
    for (const [name, value] of [
      ['Height', '9 3/8'],
      ['Width', '6 5/8'],
      ['Thickness', '1'],
    ] as const)
      await fill(page, name, value)
    await press(page, 'Fit: settled')
    await see(page, 'where the most makes come out snug or easy', '[aria-label="Ease to aim at"]')
    await press(page, 'Use the most comfortable')
    await see(page, /^Easy/, '[aria-label="Live picture"]')
    await press(page, 'Sides swapped')
    const cut = async () =>
      (await page.waitForSelector('[data-what-if-pieces]'))?.evaluate(e => e.textContent)
    const swapped = await cut()
    await press(page, 'Forgot the spine')
    await page.waitForFunction(
      before => document.querySelector('[data-what-if-pieces]')?.textContent !== before,
      {},
      swapped,
    )
    await close(page)
  })

  it('by the stash: a plain table is matched, its own comes in once, and what is taken out comes back', async () => {
    const page = await site.visit('/stash')
    await see(page, 'Nothing is in the stash yet.')
    const bring = (text: string) =>
      page.$eval(
        '[aria-label="Table of a stash"]',
        (input, content) => {
          const files = new DataTransfer()
          files.items.add(new File([content], 'stash.csv', { type: 'text/csv' }))
          ;(input as HTMLInputElement).files = files.files
          input.dispatchEvent(new Event('change', { bubbles: true }))
        },
        text,
      )
    await bring('Name,Width,Length\nQuilting cotton,18,21\nQuilting cotton,9,11\n')
    await see(page, 'What do its columns stand for?')
    expect(await valueOf(page, 'Width')).to.equal('pieceWidth')
    await press(page, 'Take it in')
    await see(page, '1 material was added.')
    const own = await page.evaluate(async () => (await fetch('/api/stash.csv')).text())
    await bring(own)
    await see(page, 'No materials were added. 1 was in the stash already')
    await pressAt(page, '[data-material="Quilting cotton"] button')
    await fill(page, 'Width', '12')
    await fill(page, 'Length', '14')
    // Enter adds it, and the cursor stays where the next is typed
    await page.keyboard.press('Enter')
    await see(page, 'remnant, 12 × 14 in', 'section[aria-label="Pieces"]')
    await press(page, 'Take out remnant, 12 × 14\u00a0in')
    await see(page, 'was taken out of the stash')
    await press(page, 'Undo')
    await see(page, 'remnant, 12 × 14 in', 'section[aria-label="Pieces"]')
    // the arrows of “For” keep the cursor, though the row belongs on another shelf now
    await (await find(page, 'For')).focus()
    await page.keyboard.press('ArrowDown')
    await page.waitForFunction(() => (document.activeElement as HTMLSelectElement | null)?.value === 'lining')
    await page.keyboard.press('ArrowUp')
    await fill(page, 'Price', '12')
    await page.keyboard.press('Tab')
    await see(page, '12.00 a yard', '[data-material="Quilting cotton"]')
    await page.goto(`${site.address()}/settings`)
    await fill(page, 'Currency', '€')
    await see(page, 'Saved', 'section[aria-label="Workshop"] [role="status"]')
    await page.goto(`${site.address()}/stash`)
    await see(page, '12.00 € a yard', '[data-material="Quilting cotton"]')
    await close(page)

    const cover = await begin('Notebook stitched, glued or coil-bound', 'Of the stash')
    await fill(cover, 'Height', '6')
    await fill(cover, 'Wrap', '9 1/4')
    await press(cover, 'Layout: settled')
    const group = '[data-group^="outer"]'
    await pressAt(cover, `${group} details:nth-of-type(2) summary`)
    await see(cover, /Quilting cotton: remnant, 18 × 21 in takes it all/, `${group} [data-will-do]`)
    await pressAt(cover, `${group} [data-will-do] button`)
    await see(cover, '1 piece of the stash. Nothing to buy.', group)
    // larger than all that there is: the price that the stash knows is reckoned up
    await cover.goto(cover.url().replace('/layout', '/measure'))
    await fill(cover, 'Height', '15')
    await fill(cover, 'Wrap', '30')
    await press(cover, 'Layout: settled')
    await see(cover, /Quilting cotton: .* in \(needs .*\), \d+\.\d\d €/, '[data-buy^="outer"]')
    await see(cover, /Together \d+\.\d\d €, and one thing without a price/, '[aria-label="To buy"]')
    await close(cover)
  })

  it('by thumb: fractions at hand, a swipe scrolls, and what is gone back to is in sight', async () => {
    const page = await begin('Notebook stitched, glued or coil-bound', 'By thumb', { ...phone, touch: true })
    const height = await find(page, 'Height')
    await height.tap()
    expect(await height.evaluate(field => (field as HTMLInputElement).inputMode)).to.equal('decimal')
    await page.keyboard.type('5')
    await (await find(page, '½')).tap()
    expect(await valueOf(page, 'Height')).to.equal('5 1/2')
    await fill(page, 'Wrap', '8')
    await find(page, 'Pieces: settled')
    // back up to the first field: it is under neither the path nor the picture
    await page.evaluate(() => scrollTo(0, document.body.scrollHeight))
    await height.evaluate(field => field.blur())
    await height.evaluate(field => field.focus())
    const [top, covered] = await page.evaluate(() => [
      document.activeElement?.getBoundingClientRect().top ?? 0,
      document.querySelector('[aria-label="Live picture"]')?.getBoundingClientRect().bottom ?? 0,
    ])
    expect(top).to.be.at.least(covered ?? 0)
    // the last station is on the screen, and is one tap away
    const tab = await (await find(page, 'Layout: settled')).boundingBox()
    expect((tab?.x ?? 999) + (tab?.width ?? 0)).to.be.at.most(phone.width)
    await (await find(page, 'Layout: settled')).tap()
    const handle = await page.waitForSelector('[data-handle]')
    const at = await handle?.evaluate(piece => piece.getAttribute('data-at'))
    const box = await handle?.boundingBox()
    if (!box) throw new Error('The piece is nowhere')
    const [x, y] = [box.x + box.width / 2, Math.min(box.y + box.height / 2, phone.height - 40)]
    await swipe(page, { x, y }, -120)
    expect(await page.$eval('[data-handle]', piece => piece.getAttribute('data-at'))).to.equal(at)
    expect(await page.$eval('[data-handle]', piece => piece.getAttribute('aria-pressed'))).to.equal('false')
    await press(page, 'Cutting list')
    await see(page, 'points to the top')
    await close(page)
  })
})
