import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { axe } from './testing/axe.js'
import { addressOf, fill, find, press, pressAt, see } from './testing/hands.js'
import { desk, phone, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

for (const { look, size, width } of [
  { look: 'light', size: desk, width: 'desk' },
  { look: 'dark', size: phone, width: 'phone' },
] as const)
  describe(`every screen for everyone: ${look}, ${width}`, function () {
    this.timeout(180_000)
    let site: Site
    let page: Page
    let cover = ''
    let series = ''
    let sleeve = ''
    useSite(async opened => {
      site = opened
      page = await site.visit('/', size)
      await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: look }])
      await see(page, 'Star atlas, padded')
      cover = await addressOf(page, 'Star atlas, padded')
      series = await addressOf(page, 'Course handbooks, one wrap for all')
      sleeve = await addressOf(page, 'E-reader sleeve, quilted')
    })

    const screens: readonly (readonly [name: string, path: () => string, words: string])[] = [
      ['the shelf', () => '/', 'Star atlas, padded'],
      ['the start of a cover', () => '/new', 'Or something measured before'],
      ['measuring', () => `${cover}/measure`, 'Height was read'],
      ['the make-up', () => `${cover}/make-up`, 'How its size is found'],
      ['a series of books', () => `${series}/measure`, 'One cover for a whole series'],
      ['a case for a device', () => `${sleeve}/make-up`, 'Loop and button'],
      ['the layers', () => `${cover}/layers`, 'Bulk underneath'],
      ['the fit', () => `${cover}/fit?if=wide-seam+forgot-spine`, 'missing'],
      ['the pieces', () => `${cover}/pieces`, 'How it fits'],
      ['the cutting layout', () => `${cover}/layout`, 'Left over'],
      ['the log of a cover', () => `${sleeve}/log`, 'Otherwise next time'],
      ['the log', () => '/log', 'What they tell'],
      ['the plan of time', () => '/time', 'of setting up'],
      ['the fewest covers', () => '/series', 'at the least'],
      ['the making', () => `${cover}/make`, 'of work'],
      ['the steps to print', () => `${sleeve}/steps`, 'of work'],
      ['the table', () => `${cover}/bench`, 'Measure once more'],
      ['a gate at the table', () => `${sleeve}/bench?step=check-sides`, 'Yes: go on'],
      ['practice', () => '/practice', 'red line'],
      ['a question of practice', () => '/practice?of=order', 'comes first'],
      ['the stash', () => '/stash', 'Larch-needle print'],
      ['the cutting list', () => `${cover}/cutting-list`, 'points to the top'],
      ['the settings', () => '/settings', 'Cutting grid'],
      ['paper and files', () => `${cover}/take-away`, 'Links for others'],
      ['the devices', () => '/devices', 'Label printer'],
      ['a link that leads nowhere', () => '/shared/nothing', 'leads nowhere'],
      ['an address with nothing', () => '/nothing/here', 'There is nothing'],
    ]
    it('axe finds nothing with all ways of making laid out, and a pocket on its piece', async () => {
      await page.goto(`${site.address()}${cover}/make-up`)
      await press(page, 'Other ways of making')
      await see(page, 'Make it this way')
      await press(page, 'Tiered pockets')
      await page.waitForSelector('[data-extra="pocket-tiered"] [data-at]')
      expect(await axe(page)).to.deep.equal([])
      const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      expect(over).to.be.at.most(0)
      await press(page, 'Undo')
      await page.waitForFunction(() => !document.querySelector('[data-extra="pocket-tiered"]'))
    })

    for (const [name, path, words] of screens)
      it(`axe finds nothing on ${name}, and nothing runs out at the side`, async () => {
        await page.goto(site.address() + path())
        await see(page, words)
        expect(await axe(page)).to.deep.equal([])
        const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
        expect(over).to.be.at.most(0)
      })

    for (const [kind, words] of [
      ['sheet', 'Finished width'],
      ['measure', 'Send the measurements'],
    ] as const)
      it(`axe finds nothing on what a link shows, ${kind}`, async () => {
        const token = await page.evaluate(
          async (coverId, share) => {
            const body = JSON.stringify({ kind: share, coverId })
            const headers = { 'Content-Type': 'application/json' }
            const made = await fetch('/api/shares', { method: 'POST', headers, body })
            return ((await made.json()) as { token: string }).token
          },
          cover.split('/')[2],
          kind,
        )
        await page.goto(`${site.address()}/shared/${token}`)
        await see(page, words)
        expect(await axe(page)).to.deep.equal([])
        const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
        expect(over).to.be.at.most(0)
      })

    it('leaves room to work at twice the size', async () => {
      await page.setViewport({ width: 640, height: 400 })
      await page.goto(`${site.address()}${cover}/pieces`)
      await find(page, 'Live picture')
      await page.evaluate(() => scrollTo(0, document.body.scrollHeight))
      const bottom = await page.$eval(
        '[aria-label="Live picture"]',
        picture => picture.getBoundingClientRect().bottom,
      )
      expect(bottom).to.be.below(120)
      await page.setViewport(size)
    })

    it('axe finds nothing with reasons unfolded, a refused entry and the shortcuts open', async () => {
      await page.goto(`${site.address()}${cover}/pieces`)
      await pressAt(page, '[data-piece="outer"] summary')
      expect(await axe(page)).to.deep.equal([])
      await page.goto(`${site.address()}${cover}/measure`)
      await find(page, 'Width')
      await fill(page, 'Width', 'wide')
      await see(page, 'No number found')
      expect(await axe(page)).to.deep.equal([])
      await press(page, 'Keyboard shortcuts')
      await see(page, 'this list', '[role="dialog"]')
      expect(await axe(page)).to.deep.equal([])
    })
  })
