import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { find, see, undo, valueOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('a cover by keyboard alone', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Hut ledger, with ties')
  })

  const focusedName = () =>
    page.evaluate(() => {
      const field = document.activeElement as HTMLInputElement | null
      return field?.labels?.[0]?.textContent ?? field?.getAttribute('aria-label') ?? field?.textContent ?? ''
    })

  /** Tabs on until the focus is on what is called `name`. */
  async function tabTo(name: string): Promise<void> {
    for (let presses = 0; presses < 60; presses++) {
      if ((await focusedName()).trim() === name) return
      await page.keyboard.press('Tab')
    }
    throw new Error(`Sixty presses of Tab did not reach “${name}”; the focus is on “${await focusedName()}”`)
  }

  it('lists its shortcuts under ?', async () => {
    await page.keyboard.press('?')
    await see(page, 'to the next thing to measure', '[role="dialog"]')
    await page.keyboard.press('Escape')
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'))
  })

  it('begins with n, and picks a kind with the arrows', async () => {
    await page.keyboard.press('n')
    await see(page, 'What is it?')
    await tabTo('Hardcover bookstiff boards, a spine of its own')
    await page.keyboard.press('ArrowDown')
    await tabTo('What do you call it?')
    await page.keyboard.type('Pocket field notes')
    await page.keyboard.press('Enter')
    await find(page, 'Measure: waits')
  })

  it('measures: Enter goes to the next thing, the arrows step by a mark of the tape', async () => {
    await tabTo('Height')
    await page.keyboard.type('6')
    await page.keyboard.press('ArrowUp')
    expect(await valueOf(page, 'Height')).to.equal('6 1/16')
    await page.keyboard.press('ArrowDown')
    expect(await valueOf(page, 'Height')).to.equal('6')
    await page.keyboard.press('Enter')
    expect(await focusedName()).to.equal('Wrap')
    await page.keyboard.type('9 1/4')
    await page.keyboard.press('Enter')
    expect(await focusedName()).to.equal('Width')
    await find(page, 'Pieces: settled')
  })

  it('shows the thing, and the cover again, with v', async () => {
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
    await page.waitForSelector('[data-picture="strip"]')
    await page.keyboard.press('v')
    await page.waitForSelector('[data-picture="thing"]')
    await page.keyboard.press('v')
    await page.waitForSelector('[data-picture="strip"]')
  })

  it('goes to the stations by number, unfolds a reason, and undoes', async () => {
    await page.evaluate(() => (document.activeElement as HTMLElement).blur())
    await page.keyboard.press('5')
    await page.waitForSelector('[data-piece="outer"]')
    for (let presses = 0; presses < 40; presses++) {
      await page.keyboard.press('Tab')
      if (await page.evaluate(() => document.activeElement?.matches('[data-piece="outer"] summary'))) break
    }
    await page.keyboard.press('Enter')
    await see(page, 'wrap round the book', '[data-piece="outer"]')
    expect(await page.$$eval('[data-picture="strip"] .lit', marks => marks.length)).to.be.above(0)
    await undo(page)
    await see(page, 'Still to measure')
    await page.keyboard.down('Control')
    await page.keyboard.down('Shift')
    await page.keyboard.press('z')
    await page.keyboard.up('Shift')
    await page.keyboard.up('Control')
    await page.waitForSelector('[data-piece="outer"]')
    await page.keyboard.press('p')
    await see(page, 'points to the top')
  })
})
