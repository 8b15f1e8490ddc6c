import { expect } from 'chai'
import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from 'puppeteer-core'
import { addressOf, press, pressAt, see } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('paper and files', function () {
  this.timeout(120_000)
  let site: Site
  let page: Page
  let folder = ''
  let ledger = ''
  useSite(async opened => {
    site = opened
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-downloads-'))
    page = await site.visit('/')
    const session = await page.createCDPSession()
    await session.send('Page.setDownloadBehavior', { behavior: 'allow', downloadPath: folder })
    await see(page, 'Hut ledger, with ties')
    ledger = await addressOf(page, 'Hut ledger, with ties')
  })
  after(() => rm(folder, { recursive: true }))

  /** The file that was written, once it is whole. */
  const written = async (name: string): Promise<Buffer> => {
    for (
      const end = Date.now() + 20_000;
      Date.now() < end;
      await new Promise(resolve => setTimeout(resolve, 50))
    )
      if ((await readdir(folder)).includes(name)) return readFile(join(folder, name))
    throw new Error(`${name} was not written; there are ${(await readdir(folder)).join(', ')}`)
  }

  it('are one step from the cover', async () => {
    await page.goto(`${site.address()}${ledger}`)
    await pressAt(page, '::-p-aria([name="Paper and files"][role="link"])')
    await see(page, 'Measuring card')
  })

  it('make a sheet for paper, and say that it is done', async () => {
    await press(page, 'PDF: Project sheet')
    await see(page, 'among your downloads', '[data-export="sheet"]')
    expect((await written('hut-ledger-with-ties-sheet.pdf')).subarray(0, 5).toString()).to.equal('%PDF-')
  })

  it('give outlines at their true size, as another program draws them', async () => {
    await pressAt(page, '[data-export="svg"] button')
    const svg = (await written('hut-ledger-with-ties-svg.svg')).toString()
    const drawn = await site.visit('/')
    const [width = 0, height = 0] = await drawn.evaluate(text => {
      document.body.innerHTML = text.slice(text.indexOf('<svg'))
      const box = document.querySelector('#cut path')?.getBoundingClientRect()
      return [box?.width ?? 0, box?.height ?? 0]
    }, svg)
    // 96 to the inch: 15 3/4 × 10 3/8 in
    expect(width / 96).to.be.closeTo(15.75, 0.004)
    expect(height / 96).to.be.closeTo(10.375, 0.004)
    await drawn.browserContext().close()
  })

  it('keep the paper that was chosen', async () => {
    await press(page, 'A4')
    await page.reload()
    await page.waitForSelector('[aria-label="Paper"] [data-state="on"]')
    expect(await page.$eval('[aria-label="Paper"] [data-state="on"]', chosen => chosen.textContent)).to.equal(
      'A4',
    )
  })

  it('say in words where the server is away, and work when it is back', async () => {
    await site.goDown()
    await press(page, 'PDF: Labels')
    await see(page, 'The server cannot be reached', '[data-export="labels"]')
    await site.comeUp()
    await press(page, 'PDF: Labels')
    await see(page, 'among your downloads', '[data-export="labels"]')
  })
})
