import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { choose, fill, find, press, pressAt, see, valueOf } from './testing/hands.js'
import { phone, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('the workshop and its things', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  useSite(async opened => {
    site = opened
    page = await site.visit('/settings')
  })

  const settings = () => site.server().repositories.settings.find(site.server().workshop)
  const settingsSaved = () => see(page, 'Saved', 'section[aria-label="Workshop"] [role="status"]')

  it('keeps its settings, typed at any speed', async () => {
    await choose(page, 'Unit', 'mm')
    await settingsSaved()
    await choose(page, 'Cutting grid', '2 mm')
    await fill(page, 'Seam allowance', '10')
    await page.keyboard.press('Tab')
    await page.waitForFunction(async () => {
      const answer = await fetch('/api/settings')
      return ((await answer.json()) as { seam: string | null }).seam === '10'
    })
    expect(await settings()).to.include({ unit: 'mm', grid: '2 mm', seam: '10' })
  })

  it('refuses a seam that cannot be, and keeps the one before', async () => {
    await fill(page, 'Seam allowance', '900')
    await page.keyboard.press('Tab')
    await see(page, '“900” is too large')
    expect(await settings()).to.include({ seam: '10' })
  })

  it('remembers the look on this device', async () => {
    await choose(page, 'Look', 'dark')
    await page.reload()
    expect(await page.evaluate(() => document.documentElement.dataset.theme)).to.equal('dark')
    await choose(page, 'Look', 'light')
  })

  it('begins new covers with its settings, and says the unit of older readings', async () => {
    await page.goto(`${site.address()}/new`)
    await see(page, 'Or something measured before')
    await pressAt(page, 'main ul button ::-p-text(Rota planner)')
    await find(page, 'Pieces: settled')
    expect(await valueOf(page, 'Height')).to.equal('8 5/8 in')
    expect(await valueOf(page, 'Reckoned in')).to.equal('mm')
    expect(await valueOf(page, 'Coil diameter')).to.equal('1 1/8 in')
    await press(page, 'Make-up: settled')
    expect(await valueOf(page, 'Seam allowance')).to.equal('10')
    expect(await valueOf(page, 'Cutting grid')).to.equal('2 mm')
  })

  it('gives the thing its readings at once, and asks once the two have parted', async () => {
    const { things } = site.server().repositories
    const planner = async () => {
      const { items } = await things.list(site.server().workshop, { limit: 20 })
      const found = items.find(({ name }) => name === 'Rota planner')
      if (!found) throw new Error('The planner is gone')
      return found
    }
    const widthIs = async (wanted: string) => {
      for (let tries = 0; tries < 40; tries++) {
        if ((await planner()).object.readings?.width?.[0] === wanted) return
        await new Promise(resolve => setTimeout(resolve, 100))
      }
      throw new Error(
        `The width of the planner is ${JSON.stringify((await planner()).object.readings?.width)}`,
      )
    }
    await press(page, 'Measure: settled')
    await fill(page, 'Width', '186')
    await widthIs('186')
    // refused, it goes nowhere; put right, it goes on
    await fill(page, 'Width', '18600')
    await see(page, 'is too large')
    await fill(page, 'Width', '187')
    await widthIs('187')
    await see(page, 'Saved', '[aria-label="Saving"]')
    // measured again from elsewhere: the cover keeps what it was planned from
    const { id, version, name, unit, object } = await planner()
    const readings = { ...object.readings, width: ['185'] }
    await things.update(site.server().workshop, id, version, { name, unit, object: { ...object, readings } })
    await page.reload()
    await see(page, 'Rota planner has other readings by now than this cover was planned from.')
    expect(await valueOf(page, 'Width')).to.equal('187')
    await press(page, 'Take its readings')
    await page.waitForFunction(() => !document.body.innerText.includes('has other readings by now'))
    expect(await valueOf(page, 'Width')).to.equal('185')
    // they agree again: what is undone here goes over, too
    await press(page, 'Undo')
    await widthIs('187')
  })

  it('takes a layer out and another in, and undoes', async () => {
    await press(page, 'Layers: has something to say')
    await press(page, 'Interfacing')
    await page.waitForSelector('[data-layer="interfacing"]')
    await press(page, 'Take out: lining')
    await page.waitForFunction(() => !document.querySelector('[data-layer="lining"]'))
    await press(page, 'Undo')
    await page.waitForSelector('[data-layer="lining"]')
    await press(page, 'Move lining outwards')
    const order = await page.$$eval('[data-layer]', layers =>
      layers.map(layer => layer.getAttribute('data-layer')),
    )
    expect(order).to.deep.equal(['interfacing', 'lining', 'outer'])
  })

  it('adds ties of cloth, with their own pieces', async () => {
    await press(page, 'Make-up: settled')
    await press(page, 'Pair of ties')
    await choose(page, 'Made from', 'cloth')
    await press(page, 'Pieces: settled')
    // 7/8 in / 2 + 203 = 214.1 → 216 on a grid of 2 mm; 76 wide
    await see(page, '216 × 76 mm', '[data-piece="tie-pair"]')
  })

  it('works on a phone by touch: measured, planned, listed', async () => {
    const hand = await site.visit('/new', phone)
    await fill(hand, 'What do you call it?', 'Trail notes')
    await press(hand, 'Measure it')
    await find(hand, 'Measure: waits')
    await fill(hand, 'Height', '140')
    await fill(hand, 'Wrap', '200')
    await hand.waitForSelector('[data-picture="strip"] svg')
    await press(hand, 'Cutting list')
    await see(hand, 'points to the top')
    await hand.browserContext().close()
  })
})
