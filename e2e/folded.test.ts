import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { axe } from './testing/axe.js'
import { addressOf, find, press, pressAt, see } from './testing/hands.js'
import { paintedRow } from './testing/pixels.js'
import { roundFlags, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('a cover that comes together, where nothing is drawn in the round', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Hut ledger, with ties')
  })

  it('is a row of still pictures, one for each stage, each with what lies on what', async () => {
    await page.goto(`${site.address()}${await addressOf(page, 'Hut ledger, with ties')}/make`)
    await pressAt(page, '::-p-aria([name="See it come together"])')
    await see(page, 'This browser draws nothing in the round')
    await page.waitForSelector('[data-picture="stills"] svg')
    // pieces, one pile apart and sewn, turned, flaps, the book there, in it, closed
    expect(await page.$$eval('[data-picture="stills"] > li', stages => stages.length)).to.equal(8)
    await see(page, 'From the table up: outer, right side up; flaps, folds to the middle, right side down')
    await see(page, 'Shown as a scheme.')
    expect(await axe(page)).to.deep.equal([])
  })
})

describe('a cover that comes together in the round', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  let ledger = ''
  useSite(
    async opened => {
      site = opened
      // a small window: every pixel is reckoned
      page = await site.visit('/', { width: 700, height: 500 })
      await see(page, 'Hut ledger, with ties')
      ledger = await addressOf(page, 'Hut ledger, with ties')
    },
    { flags: roundFlags },
  )

  const slider = 'How far it has come together'
  const stageOf = async () =>
    (await find(page, slider)).evaluate(element => element.getAttribute('aria-valuetext') ?? '')
  /** How many shades apart what is painted across the middle is: nothing but the ground has hardly any. */
  const painted = async () => {
    const picture = await page.waitForSelector('[data-picture="folded"] canvas')
    if (!picture) return 0
    const { tones } = await paintedRow(page, picture, { from: 0.02, to: 0.98 })
    return Math.max(...tones) - Math.min(...tones)
  }

  it('is painted in its cloths, stage by stage under the arrow keys', async () => {
    await page.goto(`${site.address()}${ledger}/folded`)
    await page.waitForSelector('[data-picture="folded"] canvas')
    expect(await stageOf()).to.equal('1 of 8: The pieces on the table, right sides up')
    await (await find(page, slider)).focus()
    await page.keyboard.press('ArrowRight')
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input[type="range"]')?.value === '1',
    )
    expect(await stageOf()).to.match(/^2 of 8: Sew all round/)
    await see(page, '1. outer, right side up')
    for (let stage = 2; stage < 8; stage++) {
      await page.keyboard.press('ArrowRight')
      await page.waitForFunction(
        (at: string) => document.querySelector<HTMLInputElement>('input[type="range"]')?.value === at,
        {},
        String(stage),
      )
    }
    expect(await stageOf()).to.equal('8 of 8: Closed')
    // spruce green on a ground that is nearly white
    await page.waitForFunction(() => document.querySelector('[data-picture="folded"] canvas') !== null)
    let shades = 0
    for (let look = 0; look < 20 && shades < 20; look++) shades = await painted()
    expect(shades).to.be.above(20)
  })

  it('plays from its start, and stops where it is told', async () => {
    await press(page, 'Play')
    await page.waitForFunction(
      () => Number(document.querySelector<HTMLInputElement>('input[type="range"]')?.value) > 0.2,
    )
    await press(page, 'Stop')
    const at = await (
      await find(page, slider)
    ).evaluate(element => Number((element as HTMLInputElement).value))
    expect(at).to.be.above(0.2).and.below(7)
    await find(page, 'Play')
  })

  it('begins at the joining that one is at on the bench', async () => {
    await page.goto(`${site.address()}${ledger}/folded?at=close-round-pile`)
    await find(page, slider)
    expect(await stageOf()).to.match(/^2 of 8/)
    expect(await axe(page)).to.deep.equal([])
  })

  it('stands still for whoever wants nothing to move, and steps all the same', async () => {
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }])
    await page.goto(`${site.address()}${ledger}/folded`)
    await page.waitForSelector('[data-picture="stills"] svg')
    expect(await page.$('canvas')).to.equal(null)
    await press(page, 'In the round')
    await (await find(page, slider)).focus()
    await page.keyboard.press('ArrowRight')
    expect(await stageOf()).to.match(/^2 of 8/)
    await page.emulateMediaFeatures([])
  })
})
