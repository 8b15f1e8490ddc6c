import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { addressOf, choose, fill, find, press, pressAt, see, undo, valueOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('a maker’s own ways', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  let cover = ''
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Hut ledger, with ties')
    cover = await addressOf(page, 'Hut ledger, with ties')
  })

  const open = async (station: string) => {
    await page.goto(`${site.address()}${cover}/${station}`)
  }
  /** Opens the piece, so that one sees why, and what is said of it. */
  const openPiece = async (id: string) => {
    await page.waitForSelector(`[data-piece="${id}"] summary`)
    await page.$eval(`[data-piece="${id}"] details`, details => (details.open = true))
  }
  const cutFrom = async (cloth: string) => {
    const select = await page.waitForSelector('[data-piece="flap"] select')
    await select?.select(cloth)
  }

  it('gives a piece a cloth of its own, which follows it to the cloth and back', async () => {
    await open('pieces')
    await openPiece('flap')
    await cutFrom('Denim')
    await see(page, 'of Denim', '[data-piece="flap"]')
    // a doubled flap of denim stands off 0.9 + 0.45 instead of 0.42: the outer gets higher by π/2 of 0.93, a grid step
    await see(page, '15 3/4 × 10 1/2 in', '[data-piece="outer"]')
    await open('layout')
    await see(page, 'flap 1', '[data-group="outer denim"]')
    await open('pieces')
    await see(page, 'of Denim', '[data-piece="flap"]')
    await openPiece('flap')
    await cutFrom('')
    await page.waitForFunction(() => !document.body.innerText.includes('of Denim'))
    await see(page, '15 3/4 × 10 3/8 in', '[data-piece="outer"]')
  })

  it('opens the piece that is pressed in the picture, and says what each cloth would change', async () => {
    await pressAt(page, '[data-picture="strip"] [data-shows="flap"]')
    const select = await page.waitForSelector('[data-piece="flap"] details[open] select')
    await page.waitForFunction(field => document.activeElement === field, {}, select)
    const words = await page.$$eval('[data-piece="flap"] option', all =>
      all.map(option => option.textContent),
    )
    const denim = words.find(word => word.startsWith('Denim'))
    expect(denim).to.match(/→ outer 15\s3.4 × 10\s1.2/)
  })

  it('says what another option and a thing added would change before it is chosen', async () => {
    await open('make-up')
    const flaps = await find(page, 'Flaps')
    await flaps.focus()
    const words = await flaps.$$eval('option', all => all.map(option => option.textContent))
    expect(words.filter(word => word.includes('→ flap outer'))).to.have.length(1)
    const handles = await find(page, 'Pair of handles')
    await handles.focus()
    await see(page, 'Pair of handles → pair of handles 12', '[aria-label="Added to it"]')
  })

  it('keeps a word on a piece, and makes it larger where it is pieced', async () => {
    await open('pieces')
    await openPiece('outer')
    const note = await page.waitForSelector('[data-piece="outer"] textarea')
    await note?.type('the hut upright')
    await page.keyboard.press('Tab')
    await see(page, 'the hut upright', '[data-piece="outer"] summary')
    await pressAt(page, '[data-piece="outer"] input[type="checkbox"]')
    // 15 3/4 + 1/2 by 10 3/8 + 1/2
    await see(page, '16 1/4 × 10 7/8 in', '[data-piece="outer"]')
    await undo(page)
    await see(page, '15 3/4 × 10 3/8 in', '[data-piece="outer"]')
  })

  it('lays a layer behind the panels that are ticked', async () => {
    await open('layers')
    await page.waitForSelector('[data-layer="padding"]')
    await page.$$eval('[data-layer="padding"] details', all => {
      for (const details of all) details.open = true
    })
    const boxes = '[data-layer="padding"] fieldset label'
    const labels = await page.$$eval(boxes, all => all.map(label => label.textContent))
    expect(labels).to.include.members(['outer', 'lining', 'flap'])
    await pressAt(page, `${boxes} ::-p-text(flap)`)
    await see(page, 'Lies behind: outer, flap', '[data-layer="padding"]')
    await open('pieces')
    await see(page, 'padding flap')
    await open('layers')
    await undo(page)
  })

  const callRule = async (name: string) => {
    const field = await page.waitForSelector('[data-keep-rule] input')
    await field?.type(name)
  }

  it('keeps a rule under a name, and follows it on the next cover', async () => {
    await open('make-up')
    await pressAt(page, '[data-recipe="rule"] input')
    await fill(page, 'Added to the width', '1 1/4')
    await callRule('Hut rule')
    await press(page, 'Keep it')
    await page.waitForSelector('[data-recipe="own:Hut rule"]')
    await see(page, 'Kept; it stands among the recipes.')
    // a second of that name is not taken
    await callRule('hut RULE')
    await see(page, '“Hut rule 2” is free')
    const other = await site.visit('/')
    const address = await addressOf(other, 'Star atlas, padded')
    await other.goto(`${site.address()}${address}/make-up`)
    await pressAt(other, '[data-recipe="own:Hut rule"] input')
    await find(other, 'Forget the rule “Hut rule”')
    await other.browserContext().close()
  })

  it('uses a panel whole, from the size that it has', async () => {
    await open('make-up')
    await pressAt(page, '[data-recipe="cut"] input')
    await fill(page, 'Width of the panel', '16 1/16')
    await page.keyboard.press('Enter')
    await see(page, '16 1/16 ×', '[data-recipe="cut"]')
  })

  it('takes the size of an old cover, and of an exercise book, where nobody lays a tape on the thing', async () => {
    const fresh = await site.visit('/new')
    await press(fresh, 'Notebook stitched, glued or coil-bound')
    await fill(fresh, 'What do you call it?', 'Rota book')
    await press(fresh, 'Measure it')
    await find(fresh, 'Measure: waits')
    await fresh.$eval('[data-standard-sizes]', details => ((details as HTMLDetailsElement).open = true))
    await choose(fresh, 'Standard size', 'a5-exercise')
    await find(fresh, 'Pieces: settled')
    await see(fresh, 'counts as another copy')
    await fresh.$eval('[data-old-cover]', details => ((details as HTMLDetailsElement).open = true))
    await fill(fresh, 'Across, seam to seam', '12 1/2')
    await find(fresh, 'Room in it')
    expect(await valueOf(fresh, 'Across, seam to seam')).to.equal('12 1/2')
    await fresh.browserContext().close()
  })
})
