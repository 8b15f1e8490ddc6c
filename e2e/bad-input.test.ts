import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from 'chai'
import type { ElementHandle, Page } from 'puppeteer-core'
import { addressOf, fill, find, press, see, valueOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('bad input', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  let folder = ''
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-files-'))
  })
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
  })
  after(() => rm(folder, { recursive: true }))

  it('is refused beside the field with what was understood, and nothing is planned from it', async () => {
    const address = await addressOf(page, 'Hut ledger, with ties')
    await page.goto(`${site.address()}${address}/measure`)
    const picture = () =>
      page.$eval('[data-picture="strip"] svg', svg => svg.outerHTML.replace(/«[^»]*»|_r_\w+_/g, ''))
    // the cloth comes a moment after the cover
    await page.waitForSelector('[data-picture="strip"] svg.on-cloth')
    const before = await picture()
    const cases = [
      ['8 3/4 bananas', 'Read 8 3/4 in “8 3/4 bananas”, but “bananas” is no unit'],
      ['-3', '“-3” is less than nothing'],
      // 11 was read on the way, and is nobody’s
      ['118', '“118” is too large'],
      ['nine', 'No number found in “nine”'],
    ] as const
    for (const [typed, answer] of cases) {
      await fill(page, 'Width', typed)
      await see(page, answer, '[data-reading="width"]')
      await find(page, 'Measure: waits')
      await find(page, 'Pieces: waits')
      await see(page, `Width: ${answer}`, '[aria-label="Live picture"]')
      expect(await page.$('[data-picture="strip"] svg'), typed).to.equal(null)
    }
    await see(page, 'Saved', '[aria-label="Saving"]')
    await press(page, 'Cutting list')
    await see(page, /Nothing to cut yet\. Width: No number found in “nine”/)
    await page.goBack()
    expect(await valueOf(page, 'Width')).to.equal('nine')
    await fill(page, 'Width', '6 5/8')
    await page.waitForSelector('[data-picture="strip"] svg.on-cloth')
    expect(await picture()).to.equal(before)
  })

  it('is asked about where a space was probably forgotten', async () => {
    await fill(page, 'Width', '65/8')
    await see(page, 'is more than a whole: did you mean 6 5/8?', '[data-reading="width"]')
    await press(page, 'It is 6\u00a05\u20448')
    expect(await valueOf(page, 'Width')).to.equal('6 5/8')
    await page.waitForSelector('[data-picture="strip"] svg')
    await see(page, 'Saved', '[aria-label="Saving"]')
  })

  it('says what is missing when a needed reading is taken out, and undo brings it back', async () => {
    await fill(page, 'Width', '')
    await page.keyboard.press('Tab')
    await see(page, 'Still to measure:')
    await find(page, 'Measure: waits')
    await press(page, 'Undo')
    await page.waitForSelector('[data-picture="strip"] svg')
    expect(await valueOf(page, 'Width')).to.equal('6 5/8')
  })

  it('in a file is named place by place, and the shelf stays as it was', async () => {
    await page.goto(site.address())
    await see(page, 'Hut ledger, with ties')
    const take = async (name: string, text: string) => {
      const file = join(folder, name)
      await writeFile(file, text)
      const input = (await page.$('input[type="file"]')) as ElementHandle<HTMLInputElement>
      await input.uploadFile(file)
    }
    await take('broken.json', '{ "format": ')
    await see(page, 'broken.json is not JSON.')
    await take('other.json', '{ "format": "else", "version": 1 }')
    await see(page, 'format: Expected snowdrift/cover, found “else”.')
    const cover = {
      format: 'snowdrift/cover',
      version: 2,
      family: 'slip-cover',
      object: { kind: 'sofa' },
      layers: [{ role: 'outer', thickness: 'thick' }],
    }
    await take('cover.json', JSON.stringify(cover))
    await see(
      page,
      'object.kind: Expected hardcover, softcover, notebook, planner, journal or tablet, found “sofa”.',
    )
    await see(page, 'layers[0].thickness: No number found in “thick”.')
    await take('large.json', ' '.repeat(300_000))
    await see(page, 'large.json is larger than a cover file can be')
    expect(await page.$$eval('ul[aria-label="Covers"] > li', items => items.length)).to.equal(12)
  })

  it('in an address leads to a plain answer and back to the shelf', async () => {
    await page.goto(`${site.address()}/covers/0f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f`)
    await see(page, 'There is no cover here. It may have been deleted.')
    await page.goto(`${site.address()}/nowhere`)
    await see(page, 'There is nothing at this address')
    await press(page, 'To the shelf')
    await see(page, 'Hut ledger, with ties')
  })

  it('comes back out as it went in: an exported file can be imported', async () => {
    const { items } = await site.server().repositories.covers.list(site.server().workshop, { limit: 10 })
    const [first] = items
    const file = join(folder, 'good.json')
    await writeFile(file, JSON.stringify({ ...first?.file, name: 'Twice the same' }))
    const input = (await page.$('input[type="file"]')) as ElementHandle<HTMLInputElement>
    await input.uploadFile(file)
    await find(page, 'Pieces: settled')
    expect(await valueOf(page, 'Name of the cover')).to.equal('Twice the same')
  })
})
