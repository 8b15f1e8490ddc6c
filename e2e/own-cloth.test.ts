import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { addressOf, choose, fill, find, press, pressAt, see } from './testing/hands.js'
import { paintedRow, pixelsApart } from './testing/pixels.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

const mmAnInch = 25.4

describe('the maker’s own cloth', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  let atlas = ''
  let ledger = ''
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Star atlas, padded')
    atlas = await addressOf(page, 'Star atlas, padded')
    ledger = await addressOf(page, 'Hut ledger, with ties')
  })

  const canvas = '[data-material="Night-sky canvas"]'
  const unfold = async () => {
    await page.goto(`${site.address()}/stash`)
    await pressAt(page, `${canvas} button`)
  }

  it('has places to avoid: dragged out on its picture, measured, and taken out', async () => {
    await unfold()
    await press(page, 'Mark what to avoid or to show on yardage, 54 × 31\u00a0in')
    const picture = await page.waitForSelector('[data-marking]')
    const box = await picture?.boundingBox()
    if (!box) throw new Error('The picture is not on the screen')
    const at = (x: number, y: number): [number, number] => [box.x + x * box.width, box.y + y * box.height]
    await page.mouse.move(...at(0.4, 0.1))
    await page.mouse.down()
    await page.mouse.move(...at(0.5, 0.4), { steps: 5 })
    await page.mouse.up()
    await see(page, 'Place 1')
    await press(page, 'A place')
    await press(page, 'Take place 2 out')
    await press(page, 'Keep')
    await see(page, '1 place to avoid', canvas)
  })

  it('is laid out round them', async () => {
    await page.goto(`${site.address()}${atlas}/layout`)
    await page.waitForSelector('[data-layout="done"]')
    await page.waitForSelector('[data-group^="outer"] [data-handle]')
    const response = await page.evaluate(async () => {
      const answer = await fetch('/api/stash/pieces?limit=100')
      return (await answer.json()) as {
        items: { avoid: Record<'x' | 'y' | 'width' | 'height', string>[]; width: string }[]
      }
    })
    const [place] = response.items.find(({ width }) => width === '54')?.avoid ?? []
    if (!place) throw new Error('Nothing is kept of the place')
    // Said as eighths of an inch: “21 3/8 in”.
    const inches = (text: string) =>
      text
        .replace(' in', '')
        .split(' ')
        .map(part => part.split('/').map(Number))
        .reduce((sum, [over = 0, under = 1]) => sum + over / under, 0)
    const pieces = await page.$$eval('[data-group^="outer"] [data-handle]', handles =>
      handles.map(handle => {
        const frame = handle.parentElement?.getBoundingClientRect()
        const { width, height } = handle.getBoundingClientRect()
        const [x = NaN, y = NaN] = (handle.getAttribute('data-at') ?? '').split(' ').map(Number)
        return { x, y, wide: width / (frame?.width ?? NaN), high: height / (frame?.height ?? NaN) }
      }),
    )
    expect(pieces).to.have.length(3)
    // The picture is 54 in and 2.4 thirtieths of them wide, 31 in and 0.8 thirtieths of 54 high.
    const [pictureWide, pictureHigh] = [54 * 1.08, 31 + (54 * 0.8) / 30]
    for (const { x, y, wide, high } of pieces) {
      const [left, top] = [x / mmAnInch, y / mmAnInch]
      const beside =
        left + wide * pictureWide <= inches(place.x) + 0.05 ||
        inches(place.x) + inches(place.width) <= left + 0.05 ||
        top + high * pictureHigh <= inches(place.y) + 0.05 ||
        inches(place.y) + inches(place.height) <= top + 0.05
      expect(beside, `${left}, ${top}`).to.equal(true)
    }
  })

  const green = '[data-material="Spruce-green cotton"]'
  const strip = '[data-picture="strip"] path[data-shows="outer"]'
  /** A weave is a pattern, a photograph lies beneath what shows it. */
  const inCloth = ':is(pattern, .photo-bed)'
  /** The picture of the cover once its cloths are there: it is drawn in lines until they are. */
  const openStrip = async () => {
    await page.goto(`${site.address()}${ledger}/pieces`)
    await page.waitForSelector(`[data-picture="strip"] ${inCloth}`)
    return page.waitForSelector(strip)
  }
  /** The repeat of what is painted on the back of the cover, in millimetres of the cover itself. */
  const paintedRepeatMm = async () => {
    const panel = await openStrip()
    if (!panel) throw new Error('The cover is not drawn')
    await page.evaluate(async () => {
      const href = document.querySelector('[data-picture="strip"] .photo-bed image')?.getAttribute('href')
      if (href) {
        const photo = new Image()
        photo.src = href
        await photo.decode()
      }
      // painted once it is there, and once more to be sure of it
      for (let frame = 0; frame < 2; frame++) await new Promise(done => requestAnimationFrame(done))
    })
    const pixelsPerMm = await panel.evaluate(element => element.getScreenCTM()?.a ?? NaN)
    const { pixels, stripes } = pixelsApart(
      await paintedRow(page, panel, { from: 0.06, to: 0.94, down: 0.7 }),
    )
    expect(stripes).to.be.at.least(4)
    return pixels / pixelsPerMm
  }

  it('is drawn at true scale: a printed stripe comes again as its repeat says', async () => {
    await page.goto(`${site.address()}/stash`)
    await pressAt(page, `${green} button`)
    await choose(page, 'Swatch', 'stripes')
    await fill(page, 'Repeat along', '20 mm')
    await page.keyboard.press('Tab')
    await see(page, /^Saved$/, `${green} [aria-label="Saving of the material"]`)
    expect(await paintedRepeatMm()).to.be.closeTo(20, 0.2)
  })

  it('is a photograph with a scale from two marks, moved by the keys too', async () => {
    await page.goto(`${site.address()}/stash`)
    await pressAt(page, `${green} button`)
    // 800 px wide, a stripe every 40 px.
    const field = await page.waitForSelector(`${green} input[accept^="image"]`)
    await field?.evaluate(async element => {
      const canvas = new OffscreenCanvas(800, 600)
      const pen = canvas.getContext('2d')
      if (!pen) throw new Error('No canvas')
      pen.fillStyle = '#2b4a8c'
      pen.fillRect(0, 0, 800, 600)
      pen.fillStyle = '#d8a24a'
      for (let x = 10; x < 800; x += 40) pen.fillRect(x, 0, 20, 600)
      const file = new File([await canvas.convertToBlob()], 'cloth.png', { type: 'image/png' })
      const files = new DataTransfer()
      files.items.add(file)
      element.files = files.files
      element.dispatchEvent(new Event('change', { bubbles: true }))
    })
    await pressAt(page, `${green} button::-p-text(Give the picture a scale)`)
    const second = await find(page, 'Second mark')
    await second.focus()
    // From 0.75 to 0.25, where the first stands: 10 × 0.05.
    await page.keyboard.down('Shift')
    for (let step = 0; step < 10; step++) await page.keyboard.press('ArrowLeft')
    await page.keyboard.up('Shift')
    await fill(page, 'The marks are apart', '10 in')
    await see(page, 'The two marks stand on one spot', '[data-modal]')
    await page.waitForSelector('[data-modal] button[disabled]::-p-text(Keep)')
    await second.focus()
    await page.keyboard.down('Shift')
    for (let step = 0; step < 10; step++) await page.keyboard.press('ArrowRight')
    await page.keyboard.up('Shift')
    await see(page, 'As drawings will show it', '[data-modal]')
    await pressAt(page, '[data-modal] button::-p-text(Keep)')
    await see(page, /^Saved$/, `${green} [aria-label="Saving of the material"]`)
    // Half of 800 px are 10 in: 40 px are 1 in, 25.4 mm.
    expect(await paintedRepeatMm()).to.be.closeTo(25.4, 0.25)
  })

  it('gives way to lines where they are wanted, here and on paper', async () => {
    await openStrip()
    const bed = '[data-picture="strip"] .photo-bed'
    const fillNow = () => page.$eval(strip, element => getComputedStyle(element).fill)
    expect(await page.$$(bed)).to.not.have.length(0)
    expect(await fillNow()).to.equal('rgba(0, 0, 0, 0)')
    await page.emulateMediaType('print')
    expect(await fillNow()).to.equal('rgb(255, 255, 255)')
    expect(await page.$eval(bed, element => getComputedStyle(element).display)).to.equal('none')
    await page.emulateMediaType('screen')
    await press(page, 'Lines')
    await page.waitForSelector(bed, { hidden: true })
    await page.reload()
    await page.waitForSelector(strip)
    expect(await page.$$(`[data-picture="strip"] ${inCloth}`)).to.have.length(0)
    await press(page, 'Cloth')
    await page.waitForSelector(bed)
    await page.goto(`${site.address()}${ledger}/cutting-list`)
    await press(page, 'Print the cloth')
    await page.waitForSelector('html[data-print-cloth] article .photo-bed')
    await page.emulateMediaType('print')
    const printed = await page.$eval(
      'article path[data-shows="outer"]',
      element => getComputedStyle(element).fill,
    )
    expect(printed).to.equal('rgba(0, 0, 0, 0)')
    expect(await page.$eval('article .photo-bed', element => getComputedStyle(element).display)).to.equal(
      'inline',
    )
    await page.emulateMediaType('screen')
  })

  it('leaves words readable by night on what is pale, cloth or not', async () => {
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }])
    for (const shown of ['Cloth', 'Lines']) {
      await press(page, shown)
      // what is drawn in a tone that is the same by day and by night
      const toned = 'article svg.drawing:has(.fill-outer, .fill-lining, .fill-padding, .fill-board) text'
      const edges = await page.$$eval(toned, words =>
        words.map(word => {
          const { paintOrder, stroke, fill } = getComputedStyle(word)
          return paintOrder.startsWith('stroke') && stroke !== 'none' && stroke !== fill
        }),
      )
      expect(edges).to.include(true).and.not.include(false)
    }
    await press(page, 'Cloth')
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'light' }])
  })
})

describe('a shelf on which nothing stands yet', function () {
  this.timeout(120_000)
  let site: Site
  useSite(
    opened => {
      site = opened
      return Promise.resolve()
    },
    { demo: false },
  )

  it('has something to play with, which brings its cloths', async () => {
    const page = await site.visit('/')
    await see(page, 'Measure the book beside you')
    await press(page, 'Hut ledger, to play with')
    await find(page, 'Pieces: settled')
    await page.waitForSelector('[data-picture="strip"] pattern')
    await page.goto(site.address())
    await see(page, 'Covers stand closed')
    await page.goto(`${site.address()}/stash`)
    await see(page, 'Spruce check')
    expect(await page.$$('[data-material="Fog cotton"]')).to.have.length(1)
    await page.close()
  })
})
