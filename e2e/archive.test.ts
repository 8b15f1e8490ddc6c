import { expect } from 'chai'
import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { ElementHandle, Page } from 'puppeteer-core'
import { addressOf, choose, find, press, pressAt, see, valueOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('what goes out and comes in again', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  let folder = ''
  useSite(async opened => {
    site = opened
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-archive-'))
    page = await site.visit('/')
    const session = await page.createCDPSession()
    await session.send('Page.setDownloadBehavior', { behavior: 'allow', downloadPath: folder })
    await see(page, 'Hut ledger, with ties')
  })
  after(() => rm(folder, { recursive: true }))

  const written = async (pattern: RegExp): Promise<string> => {
    for (const end = Date.now() + 60_000; Date.now() < end; await new Promise(r => setTimeout(r, 50))) {
      const name = (await readdir(folder)).find(one => pattern.test(one) && !one.endsWith('.crdownload'))
      if (name) return join(folder, name)
    }
    throw new Error(`nothing like ${String(pattern)} was written: ${(await readdir(folder)).join(', ')}`)
  }
  const give = async (label: string, path: string) => {
    const input = await page.waitForSelector(`input[aria-label="${label}"]`)
    await (input as ElementHandle<HTMLInputElement>).uploadFile(path)
  }

  it('is the whole workshop, which says that it is here already', async () => {
    await page.goto(`${site.address()}/settings`)
    await press(page, 'Take it out')
    await see(page, 'among your downloads', '[data-archive]')
    await give('Archive of a workshop', await written(/^snowdrift-\d{4}-\d\d-\d\d\.zip$/))
    await see(page, /Covers 0 0 \d+/, '[data-archive="looked"]')
    await press(page, 'Take it in')
    await see(page, 'Everything in it was here already.', '[data-archive]')
  })

  it('brings back a cover that was deleted since', async () => {
    await page.goto(site.address())
    await see(page, 'Star atlas, padded')
    await press(page, 'Delete Star atlas, padded')
    await page.waitForFunction(() => !document.querySelector('[aria-label="Star atlas, padded"]'))
    await pressAt(page, 'header a[href="/settings"]')
    await give('Archive of a workshop', await written(/^snowdrift-\d{4}/))
    await see(page, /Covers 1 0 \d+/, '[data-archive="looked"]')
    await press(page, 'Take it in')
    await see(page, '1 added.', '[data-archive]')
    await pressAt(page, 'header a[href="/"]')
    await see(page, 'Star atlas, padded')
  })

  it('is refused in words where it is no archive', async () => {
    const other = join(folder, 'notes.zip')
    await writeFile(other, 'not a zip')
    await page.goto(`${site.address()}/settings`)
    await give('Archive of a workshop', other)
    await see(page, 'This is no archive that can be opened', '[data-archive="failed"]')
  })

  it('is one cover with its cloth', async () => {
    await page.goto(site.address())
    const ledger = await addressOf(page, 'Hut ledger, with ties')
    await page.goto(`${site.address()}${ledger}/take-away`)
    await press(page, 'With its cloth')
    const path = await written(/^hut-ledger-with-ties\.snowdrift\.zip$/)
    await page.goto(`${site.address()}/settings`)
    await give('Archive of a workshop', path)
    await see(page, /Measured things 0 0 1 .*Covers 0 0 1/, '[data-archive="looked"]')
    await press(page, 'Leave it')
  })

  it('is a table of books, whatever its columns are called', async () => {
    const table = join(folder, 'books.csv')
    await writeFile(table, 'Title,Height,Width,Thick\nTrail journal,8 1/4,5 3/4,7/8\nRoute cards,6,4,1/2\n')
    await page.goto(`${site.address()}/new`)
    await pressAt(page, 'summary ::-p-text(From a table)')
    await choose(page, 'Where a line does not say', 'notebook')
    await give('Table of books or devices', table)
    await see(page, 'What do its columns stand for?')
    await press(page, 'Take it in')
    await see(page, '2 were added.')
    await pressAt(page, 'main ul button ::-p-text(Trail journal)')
    await find(page, 'Pieces: settled')
    expect(await valueOf(page, 'Height')).to.equal('8 1/4')
    expect(page.url()).to.match(/\/measure$/)
  })
})
