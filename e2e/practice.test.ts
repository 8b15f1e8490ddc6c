import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { fill, press, pressAt, see } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

/** “8 3/4 in” as a number. */
function inInches(words: string): number {
  return words
    .replace(' in', '')
    .split(' ')
    .reduce((sum, part) => {
      const [over = 0, under = 1] = part.split('/').map(Number)
      return sum + over / under
    }, 0)
}

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
      // a sixteenth too much, each time
      await fill(page, 'It reads', String(inInches(await there()) + 1 / 16))
      await page.keyboard.press('Enter')
      await see(page, 'slack: it slips')
      await page.keyboard.press('Enter')
      await page.waitForFunction(() => document.querySelector('[role="status"]') === null)
    }
    await see(page, '8 read')
    await press(page, 'Reckon with it')
    await see(page, 'Reckoned so')
    // a sixteenth each time: 1/16 · √12 = 0.2165 in, to the nearest sixty-fourth
    await page.goto(`${site.address()}/settings`)
    await page.waitForFunction(() =>
      [...document.querySelectorAll('input')].some(field => field.value.startsWith('7/32')),
    )
    await page.goto(`${site.address()}/practice`)
  })

  it('knows a right reading', async () => {
    await page.reload()
    await see(page, 'Where does the red line stand?')
    await fill(page, 'It reads', await there())
    await page.keyboard.press('Enter')
    await see(page, 'Right:')
  })

  it('asks out of the maker’s own covers which side is up, what comes first, where it stays open', async () => {
    for (const [kind, words] of [
      ['sides', 'looks up'],
      ['order', 'comes first'],
      ['opening', 'Where does the seam stay open?'],
    ] as const) {
      await page.goto(`${site.address()}/practice?of=${kind}`)
      await see(page, words)
      await page.waitForSelector('[data-answer="0"]')
      await pressAt(page, '[data-answer="0"]')
      await page.waitForSelector('[data-right="true"]')
      await see(page, 'of 1 right')
      await press(page, 'Next')
      await page.waitForFunction(() => document.querySelector('[data-right="true"]') === null)
    }
    expect(site.complaints()).to.deep.equal([])
  })
})
