import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { addressOf, fill, press, see, undo, valueOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('nothing is lost', function () {
  this.timeout(180_000)
  let site: Site
  useSite(opened => {
    site = opened
  })

  const saved = (page: Page) => see(page, /^Saved$/, '[aria-label="Saving"]')

  async function openCover(name: string): Promise<Page> {
    const page = await site.visit('/')
    const address = await addressOf(page, name)
    await page.goto(`${site.address()}${address}/measure`)
    await saved(page)
    return page
  }

  it('saves by itself, and says so', async () => {
    const page = await openCover('Hut ledger, with ties')
    await fill(page, 'Name of the cover', 'Hut ledger, second try')
    await saved(page)
    const { items } = await site.server().repositories.covers.list(site.server().workshop, { limit: 10 })
    expect(items.map(({ file }) => file.name)).to.include('Hut ledger, second try')
    await page.browserContext().close()
  })

  it('keeps what is typed while the server is away, over a reload, and saves it when it is back', async () => {
    const page = await openCover('Star atlas, padded')
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
    await page.waitForFunction(async () =>
      (await (await caches.open('snowdrift-2')).keys()).some(({ url }) => /WorkspaceScreen/.test(url)),
    )
    await site.goDown()
    try {
      await fill(page, 'Width', '9 3/8')
      await see(page, 'Server away: kept on this device', '[aria-label="Saving"]')
      await page.reload()
      await see(page, /Server away|Saving/, '[aria-label="Saving"]')
      expect(await valueOf(page, 'Width')).to.equal('9 3/8')
    } finally {
      await site.comeUp()
    }
    await saved(page)
    const { items } = await site.server().repositories.covers.list(site.server().workshop, { limit: 10 })
    const atlas = items.find(({ file }) => file.name === 'Star atlas, padded')
    expect(atlas?.file.object?.readings?.width).to.deep.equal(['9 3/8'])
    await page.browserContext().close()
  })

  it('shows a change from another device beside one’s own, and keeps either', async () => {
    const here = await openCover('Snow-profile notebook, by recipe')
    const path = new URL(here.url()).pathname
    const there = await site.visit(path)
    await saved(there)
    // what is not saved yet on the one meets what was saved on the other meanwhile
    const meanwhile = async (away: Page, height: string, work: () => Promise<void>) => {
      await away.setOfflineMode(true)
      await away.bringToFront()
      await fill(away, 'Height', height)
      await see(away, 'Server away: kept on this device', '[aria-label="Saving"]')
      await work()
      await away.setOfflineMode(false)
      await away.bringToFront()
    }
    await meanwhile(here, '8 3/8', async () => {
      await there.bringToFront()
      await fill(there, 'Height', '8 1/2')
      await saved(there)
    })
    await see(here, 'This cover was changed in another window')
    await see(here, /Height 8 3\/8 in 8 1\/2 in/, '[aria-label="Changed elsewhere"]')
    await meanwhile(there, '8 5/8', async () => {
      await here.bringToFront()
      await press(here, 'Keep what is here')
      await saved(here)
    })
    const keptId = path.split('/')[2] ?? ''
    const kept = await site.server().repositories.covers.find(site.server().workshop, keptId)
    expect(kept?.file.object?.readings?.height).to.deep.equal(['8 3/8'])

    await see(there, 'This cover was changed in another window')
    await press(there, 'Take what is there')
    expect(await valueOf(there, 'Height')).to.equal('8 3/8')
    await undo(there)
    await there.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-reading="height"] input')?.value === '8 5/8',
    )
    await saved(there)
    await here.browserContext().close()
    await there.browserContext().close()
  })

  it('brings back what was deleted', async () => {
    const page = await site.visit('/')
    await see(page, 'Handbook cover, too tight')
    await press(page, 'Delete Handbook cover, too tight')
    await see(page, '“Handbook cover, too tight” was deleted.')
    await page.waitForFunction(
      () => !document.querySelector('ul[aria-label="Covers"]')?.textContent.includes('Handbook'),
    )
    await press(page, 'Undo')
    await see(page, 'Handbook cover, too tight', 'ul[aria-label="Covers"]')
    await page.browserContext().close()
  })
})
