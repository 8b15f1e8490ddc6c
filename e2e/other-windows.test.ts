import type { Page } from 'puppeteer-core'
import { addressOf, press, see } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { measureIn, useSite } from './testing/use-site.js'

describe('two windows on one cover', function () {
  this.timeout(180_000)
  let site: Site
  useSite(async opened => {
    site = opened
    await measureIn(site, 'cm')
  })

  it('follow each other, and say in a maker’s words where they part', async () => {
    const page = await site.visit('/')
    const address = await addressOf(page, 'Star atlas, padded')
    await page.goto(`${site.address()}${address}/measure`)
    await see(page, 'Saved', '[aria-label="Saving"]')
    const other = await site.anotherWindow(page, `${address}/measure`)
    await see(other, 'Saved', '[aria-label="Saving"]')
    await page.bringToFront()
    const type = async (window: Page, text: string) => {
      const field = await window.waitForSelector('[data-reading="width"] input')
      await field?.evaluate(element => {
        element.focus()
        element.select()
      })
      await window.keyboard.type(text)
    }
    // what stands on the server is what counts: “Saved” may still be that of the time before, and a window in the back saves late
    const isKept = (words: string) =>
      page.waitForFunction(
        async (path, text) => (await (await fetch(`/api${path}`)).text()).includes(text),
        { polling: 200 },
        address,
        words,
      )
    await type(page, '23.5')
    await isKept('"23.5')
    await other.bringToFront()
    await other.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-reading="width"] input')?.value === '23.5 cm',
    )
    await page.bringToFront()
    // undo outlives a reload
    await see(page, 'Saved', '[aria-label="Saving"]')
    await page.reload()
    await see(page, 'Saved', '[aria-label="Saving"]')
    await press(page, 'Undo')
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-reading="width"] input')?.value !== '23.5 cm',
    )
    await see(page, 'Saved', '[aria-label="Saving"]')
    // both type before either is saved: offline for a moment, so that the second save meets the first
    await other.setOfflineMode(true)
    await other.bringToFront()
    await type(other, '24.5')
    await see(other, /Offline|away/, '[aria-label="Saving"]')
    await page.bringToFront()
    await type(page, '23')
    await isKept('"23 cm"')
    await other.setOfflineMode(false)
    await other.bringToFront()
    await see(other, 'changed in another window')
    await see(other, /Width 24\.5 cm 23 cm/, '[aria-label="Changed elsewhere"]')
    await page.browserContext().close()
  })
})
