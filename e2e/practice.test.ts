import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { fill, press, see } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('practice', function () {
  this.timeout(120_000)
  let site: Site
  let page: Page
  useSite(async opened => {
    site = opened
    page = await site.visit('/practice')
    await see(page, 'Where does the red line stand?')
  })

  const there = () => page.$eval('[data-there]', tape => tape.getAttribute('data-there') ?? '')

  it('says what a misread tape does to the fit, and offers to reckon with the eye that reads so', async () => {
    for (let turn = 0; turn < 8; turn++) {
      const [whole = '0'] = (await there()).split(' ')
      // an inch too much, each time
      await fill(page, 'It reads', String(Number.parseFloat(whole) + 2))
      await page.keyboard.press('Enter')
      await see(page, 'slack: it slips')
      await page.keyboard.press('Enter')
      await page.waitForFunction(() => document.querySelector('[role="status"]') === null)
    }
    await see(page, '8 read')
    await press(page, 'Reckon with it')
    await see(page, 'Reckoned so')
  })

  it('knows a right reading', async () => {
    await page.reload()
    await see(page, 'Where does the red line stand?')
    await fill(page, 'It reads', await there())
    await page.keyboard.press('Enter')
    await see(page, 'Right:')
  })

  it('asks out of the maker’s own covers which side is up, and what comes first', async () => {
    for (const [kind, words] of [
      ['sides', 'looks up'],
      ['order', 'comes first'],
    ] as const) {
      await page.goto(`${site.address()}/practice?of=${kind}`)
      await see(page, words)
      await page.waitForSelector('[data-answer="0"]')
      await page.click('[data-answer="0"]')
      await page.waitForSelector('[data-right="true"]')
      await see(page, 'of 1 right')
      await press(page, 'Next')
      await page.waitForFunction(() => document.querySelector('[data-right="true"]') === null)
    }
    expect(site.complaints()).to.deep.equal([])
  })
})
