import type { CoverFile } from '@snowdrift/core'
import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { fillDevice, loseAnswers, makeProfile, openBrowser, removeProfile } from './testing/faults.js'
import { slowDown } from './testing/slow-down.js'
import { addressOf, choose, fill, press, pressAt, see, textOf, valueOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('nothing is lost, nothing is doubled', function () {
  this.timeout(180_000)
  let site: Site
  const addresses = new Map<string, string>()
  useSite(async opened => {
    site = opened
    const page = await site.visit('/')
    await see(page, 'Hut ledger, with ties')
    for (const name of ['Hut ledger, with ties', 'Star atlas, padded', 'Rota planner, zipped'])
      addresses.set(name, await addressOf(page, name))
    await page.browserContext().close()
  })

  /** What this device keeps, as text. */
  const keptText = (page: Page) =>
    page.evaluate(
      () =>
        new Promise<string>(resolve => {
          const opening = indexedDB.open('snowdrift')
          opening.onsuccess = () => {
            const reading = opening.result.transaction('kept').objectStore('kept').getAll()
            reading.onsuccess = () => resolve(JSON.stringify(reading.result))
          }
        }),
    )
  const keptHeights = async (page: Page) => {
    const records = JSON.parse(await keptText(page)) as { value: { body: { file?: CoverFile } } }[]
    return records.flatMap(({ value }) => value.body.file?.object?.readings?.height ?? []).toSorted()
  }
  const repositories = () => site.server().repositories
  const pathOf = (name: string, station = 'measure') => `${addresses.get(name) ?? ''}/${station}`
  const idOf = (name: string) => (addresses.get(name) ?? '').split('/')[2] ?? ''
  const saving = '[aria-label="Saving"]'
  const saved = (page: Page) => see(page, /^Saved$/, saving)
  const readingOf = async (name: string, reading: 'height' | 'width') => {
    const row = await repositories().covers.find(site.server().workshop, idOf(name))
    return row?.file.object?.readings?.[reading]?.[0]
  }
  async function whileAway(work: () => Promise<void>): Promise<void> {
    await site.goDown()
    try {
      await work()
    } finally {
      await site.comeUp()
    }
  }
  async function openCover(name: string): Promise<Page> {
    const page = await site.visit(pathOf(name))
    await saved(page)
    return page
  }
  /** The application is at hand without the server: its files and what it last read are in the browser's cache. */
  const readyForOffline = async (page: Page) => {
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
    await page.waitForFunction(async () =>
      (await (await caches.open('snowdrift-2')).keys()).some(({ url }) => /WorkspaceScreen/.test(url)),
    )
  }

  describe('where the device keeps nothing', () => {
    it('saves all the same when it is full, and says what that means', async () => {
      const page = await openCover('Hut ledger, with ties')
      await fillDevice(page)
      await fill(page, 'Height', '9 1/2')
      await saved(page)
      expect(await readingOf('Hut ledger, with ties', 'height')).to.equal('9 1/2')
      await see(page, 'This device has no room left to keep unsaved work.')
      await page.browserContext().close()
    })

    it('works where the browser blocks it, and says what that means', async () => {
      const profile = await makeProfile({ keeps: false })
      const browser = await openBrowser(profile)
      try {
        const page = await browser.open(site.address() + pathOf('Hut ledger, with ties'))
        const blocked = await page.evaluate(() => {
          try {
            return localStorage.length >= 0 ? 'open' : ''
          } catch {
            return 'blocked'
          }
        })
        expect(blocked).to.equal('blocked')
        await saved(page)
        await see(page, 'This browser keeps nothing for this page')
        await fill(page, 'Height', '9 5/8')
        await saved(page)
        expect(await readingOf('Hut ledger, with ties', 'height')).to.equal('9 5/8')
        await page.goto(`${site.address()}/settings`)
        await choose(page, 'Look', 'dark')
        await page.goto(`${site.address()}/`)
        await see(page, 'Hut ledger, with ties')
      } finally {
        await browser.close()
        await removeProfile(profile)
      }
    })
  })

  describe('in two windows', () => {
    it('takes up what a closed window left, in one that had the cover open all the time', async () => {
      const here = await openCover('Star atlas, padded')
      const there = await site.anotherWindow(here, pathOf('Star atlas, padded'))
      await saved(there)
      await whileAway(async () => {
        await fill(there, 'Width', '9 3/8')
        await see(there, 'Server away: kept on this device', saving)
        await there.close()
      })
      await here.bringToFront()
      await pressAt(here, 'header a[href="/"]')
      await see(here, 'Hut ledger, with ties')
      await pressAt(here, `a[href="${addresses.get('Star atlas, padded') ?? ''}"]`)
      await here.waitForFunction(
        () => document.querySelector<HTMLInputElement>('[data-reading="width"] input')?.value === '9 3/8',
      )
      await saved(here)
      expect(await readingOf('Star atlas, padded', 'width')).to.equal('9 3/8')
      await here.browserContext().close()
    })

    it('gives a copy of a window a name of its own, so that neither writes over the other’s work', async () => {
      const here = await openCover('Rota planner, zipped')
      const copied = here.browserContext().waitForTarget(target => target.opener()?.url() === here.url())
      await here.evaluate(() => void window.open(location.href))
      const copy = await (await copied).page()
      if (!copy) throw new Error('No copy was opened')
      await saved(copy)
      await whileAway(async () => {
        await here.bringToFront()
        await fill(here, 'Height', '8 1/2')
        await see(here, 'Server away: kept on this device', saving)
        await copy.bringToFront()
        await fill(copy, 'Height', '8 3/8')
        await see(copy, 'Server away: kept on this device', saving)
        expect(await keptHeights(copy)).to.deep.equal(['8 1/2', '8 3/8'])
      })
      await see(copy, /Saved|changed elsewhere/, saving)
      await here.browserContext().close()
    })
  })

  it('takes its own save for no conflict when only the answer was lost', async () => {
    const page = await openCover('Hut ledger, with ties')
    const lost = await loseAnswers(page, request => request.method() === 'PUT', 2)
    await fill(page, 'Height', '9 3/4')
    await see(page, 'Server away: kept on this device', saving)
    await fill(page, 'Height', '9 7/8')
    await saved(page)
    expect(lost()).to.equal(2)
    expect(await readingOf('Hut ledger, with ties', 'height')).to.equal('9 7/8')
    expect(await page.$('[aria-label="Changed elsewhere"]')).to.equal(null)
    await page.browserContext().close()
  })

  describe('of a layout, a material, a form', () => {
    const layoutSaved = (page: Page) => see(page, /^Saved$/, '[aria-label="Saving of the layout"]')
    const cuttingsOf = async (name: string) =>
      (await repositories().cuttings.list(site.server().workshop, { limit: 100 })).items.filter(({ plan }) =>
        plan.coverIds.includes(idOf(name)),
      )

    it('makes one layout of quick changes over a slow line, and keeps the last of them', async () => {
      const page = await site.visit(pathOf('Rota planner, zipped', 'layout'))
      await see(page, 'Left over')
      await slowDown(page, 800)
      for (const cuts of ['Rotary cutter', 'Scissors', 'Rotary cutter']) {
        await press(page, cuts)
        await new Promise(resolve => setTimeout(resolve, 450))
      }
      await layoutSaved(page)
      expect(await textOf(page)).not.to.contain('changed in another window')
      const rows = await cuttingsOf('Rota planner, zipped')
      expect(rows.map(({ plan }) => plan.cuts)).to.deep.equal(['rotary'])
      await page.reload()
      await see(page, 'Cut 1 of')
      await page.browserContext().close()
    })

    it('keeps a layout that was changed offline, over a reload', async () => {
      const page = await site.visit(pathOf('Star atlas, padded', 'layout'))
      await see(page, 'Left over')
      await readyForOffline(page)
      await page.reload()
      await see(page, 'Left over')
      await whileAway(async () => {
        await press(page, 'Rotary cutter')
        await see(page, 'Server away: kept on this device', '[aria-label="Saving of the layout"]')
        await page.reload()
        await see(page, 'Cut 1 of')
      })
      await layoutSaved(page)
      expect((await cuttingsOf('Star atlas, padded')).map(({ plan }) => plan.cuts)).to.deep.equal(['rotary'])
      await page.browserContext().close()
    })

    it('keeps both of two quick changes of a material', async () => {
      const page = await site.visit('/stash')
      await page.waitForSelector('[data-material]')
      const name = await page.$eval('[data-material]', element => element.getAttribute('data-material') ?? '')
      await pressAt(page, '[data-material] button')
      await slowDown(page, 500)
      await fill(page, 'Price', '17.5')
      await page.keyboard.press('Tab')
      await choose(page, 'Swatch', 'dots')
      await choose(page, 'Print', 'two-way')
      await see(page, /^Saved$/, '[aria-label="Saving of the material"]')
      const { items } = await repositories().materials.list(site.server().workshop, { limit: 100 })
      const row = items.find(({ material }) => material.name === name)
      expect([row?.stock.price, row?.stock.weave, row?.material.print]).to.deep.equal([
        17.5,
        'dots',
        'two-way',
      ])
      await page.browserContext().close()
    })

    it('remembers what was typed into the form of a new cover, until it is sent', async () => {
      const page = await site.visit('/new')
      await fill(page, 'What do you call it?', 'Glacier notes')
      await page.evaluate(() => document.querySelectorAll<HTMLInputElement>('input[name="kind"]')[3]?.click())
      await page.waitForFunction(
        () => document.querySelectorAll<HTMLInputElement>('input[name="kind"]')[3]?.checked,
      )
      while (!(await keptText(page)).includes('planner'))
        await new Promise(resolve => setTimeout(resolve, 20))
      await page.reload()
      expect(await valueOf(page, 'What do you call it?')).to.equal('Glacier notes')
      const lost = await loseAnswers(page, request => request.method() === 'PUT', 1)
      await press(page, 'Measure it')
      await page.waitForFunction(() => location.pathname.startsWith('/covers/'))
      expect(lost()).to.equal(1)
      const { items } = await repositories().things.list(site.server().workshop, { limit: 100 })
      const made = items.filter(({ name }) => name === 'Glacier notes')
      expect(made.map(({ object }) => object.kind)).to.deep.equal(['planner'])
      await page.goto(`${site.address()}/new`)
      expect(await valueOf(page, 'What do you call it?')).to.equal('')
      await page.browserContext().close()
    })
  })

  describe('when the browser is killed', () => {
    for (const away of [true, false])
      it(`has what was typed a second before, with the server ${away ? 'away' : 'there'}`, async () => {
        const profile = await makeProfile({ keeps: true })
        try {
          const first = await openBrowser(profile)
          const page = await first.open(site.address() + pathOf('Star atlas, padded'))
          await saved(page)
          await readyForOffline(page)
          const text = away ? '12 1/8' : '12 3/8'
          const typeAndKill = async () => {
            await fill(page, 'Height', text)
            // a second of the page's own time: a machine that stands still gives it none
            await page.evaluate(() => new Promise(resolve => setTimeout(resolve, 1000)))
            await first.kill()
          }
          await (away ? whileAway(typeAndKill) : typeAndKill())
          const second = await openBrowser(profile)
          const again = await second.open(site.address() + pathOf('Star atlas, padded'))
          await saved(again)
          expect(await valueOf(again, 'Height')).to.equal(text)
          expect(await readingOf('Star atlas, padded', 'height')).to.equal(text)
          await second.close()
        } finally {
          await removeProfile(profile)
        }
      })
  })
})
