import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { addressOf, choose, press, see } from './testing/hands.js'
import { desk, openSite, phone, type Site, type Size } from './testing/site.js'

const covers = [
  'Hut ledger, with ties',
  'E-reader sleeve, quilted',
  'Botany journal on elastic',
  'Course handbooks, one wrap for all',
  'Handbook cover, too tight',
] as const
const stations = [
  ['measure', 'Height|Page height'],
  ['make-up', 'Cutting grid'],
  ['layers', 'Bulk underneath|outer cloth is last'],
  ['fit', 'makes like this|no fit|has no meaning|go by'],
  ['pieces', 'To cut'],
  ['layout', 'Laid out|Left over'],
] as const

/** Every screen, each with the words by which one sees that it is there. */
function screensOf(
  addresses: ReadonlyMap<string, string>,
): readonly (readonly [path: string, words: RegExp])[] {
  return [
    ['/', /Covers stand closed/],
    ['/new', /Or something measured before/],
    ['/stash', /Larch-needle print/],
    ['/settings', /Cutting grid/],
    ['/nothing/here', /There is nothing/],
    ...covers.flatMap(name => [
      ...stations.map(
        ([station, words]) => [`${addresses.get(name) ?? ''}/${station}`, new RegExp(words)] as const,
      ),
      [`${addresses.get(name) ?? ''}/cutting-list`, /points to the top/] as const,
    ]),
  ]
}

async function addressesOn(page: Page): Promise<ReadonlyMap<string, string>> {
  await see(page, 'Covers stand closed')
  const found = new Map<string, string>()
  for (const name of covers) found.set(name, await addressOf(page, name))
  return found
}

async function show(page: Page, address: string, words: RegExp): Promise<void> {
  await page.goto(address)
  await see(page, words)
  await page.evaluate(() => {
    for (const details of document.querySelectorAll('details')) details.open = true
    document.querySelector<HTMLElement>('[data-material] button[aria-expanded="false"]')?.click()
  })
}

/** Everything to be pressed or typed in that is smaller than so many pixels, as a maker would call it. */
function smallTargets(page: Page, least: number): Promise<readonly string[]> {
  return page.evaluate(wanted => {
    const targets = 'a[href], button, select, summary, input, textarea, [role="slider"], [role="radio"]'
    return [...document.querySelectorAll<HTMLElement>(targets)].flatMap(element => {
      const label = element.matches('[type="checkbox"], [type="radio"]') ? element.closest('label') : null
      const { width, height } = (label ?? element).getBoundingClientRect()
      // Words within a sentence, what is drawn to scale, and what nobody sees are no targets of their own.
      const isExempt =
        (element.matches('a') && getComputedStyle(element).display === 'inline') ||
        element.matches('[data-handle], [data-at], [type="file"]') ||
        element.closest('.sr-only') !== null
      if (width === 0 || height === 0 || isExempt) return []
      if (width + 0.5 >= wanted && height + 0.5 >= wanted) return []
      const name = element.getAttribute('aria-label') ?? (label ?? element).textContent.trim()
      return [`${element.tagName} “${name.slice(0, 40)}” ${Math.round(width)} × ${Math.round(height)}`]
    })
  }, least)
}

/** All that is to be read, thicknesses of cloth left out: those are millimetres in every workshop. */
function textOn(page: Page): Promise<string> {
  return page.evaluate(() => {
    for (const thin of document.querySelectorAll('[data-thickness]')) thin.textContent = ''
    const pictures = [...document.querySelectorAll('svg text')].map(text => text.textContent)
    const words = document.querySelector<HTMLElement>('#main')?.innerText ?? ''
    return [words, ...pictures]
      .join('\n')
      .replace(/[\d.]+\s?mm( pressed| thin| thick| of cloth|; under the foot)/g, '')
      .replace(/under the foot goes [\d.]+\s?mm/g, '')
      .replace(/, [\d.]+\s?mm(?=\n|$)/g, '')
  })
}

/** What of the page lies over the open dialog or its shade, at a grid of points. */
function shiningThrough(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    document.body.style.pointerEvents = 'auto'
    const found = new Set<string>()
    for (let x = 10; x < innerWidth; x += 30)
      for (let y = 10; y < innerHeight; y += 30) {
        const top = document.elementFromPoint(x, y)
        if (top?.closest('#root')) found.add(`${top.tagName} at ${x}, ${y}`)
      }
    return [...found]
  })
}

describe('every screen', function () {
  this.timeout(400_000)
  let site: Site
  before(async () => {
    site = await openSite()
  })
  after(() => site.close())

  for (const [size, least, how] of [
    [{ ...phone, touch: true }, 44, 'under a finger'],
    [desk, 24, 'under a pointer'],
  ] as readonly (readonly [Size, number, string])[])
    it(`has targets of ${least} px or more ${how}`, async () => {
      const page = await site.visit('/', size)
      const small: string[] = []
      for (const [path, words] of screensOf(await addressesOn(page))) {
        await show(page, site.address() + path, words)
        small.push(...(await smallTargets(page, least)).map(target => `${path.slice(-12)}: ${target}`))
      }
      expect([...new Set(small)]).to.deep.equal([])
      await page.browserContext().close()
    })

  it('is called by what it shows', async () => {
    const page = await site.visit('/')
    const addresses = await addressesOn(page)
    const titles: string[] = []
    for (const [path, words] of screensOf(addresses)) {
      if (path === '/nothing/here') continue
      await page.goto(site.address() + path)
      await see(page, words)
      titles.push(await page.title())
    }
    expect(new Set(titles).size).to.equal(titles.length)
    for (const title of titles) expect(title).to.match(/^.+ · Snowdrift$/)
    expect(titles).to.include('Hut ledger, with ties · Make-up · Snowdrift')
    expect(titles).to.include('Hut ledger, with ties · Cutting list · Snowdrift')
    await page.browserContext().close()
  })

  it('lies beneath the list of shortcuts, and complains of nothing on the console', async () => {
    const page = await site.visit('/')
    const seen = site.complaints().length
    const through: string[] = []
    for (const [path, words] of screensOf(await addressesOn(page))) {
      await page.goto(site.address() + path)
      await see(page, words)
      await page.click('button[aria-label="Keyboard shortcuts"]')
      await page.waitForSelector('[role="dialog"]')
      through.push(...(await shiningThrough(page)).map(what => `${path}: ${what}`))
      await page.keyboard.press('Escape')
      await page.waitForSelector('[role="dialog"]', { hidden: true })
    }
    expect(through).to.deep.equal([])
    expect(site.complaints().slice(seen)).to.deep.equal([])
    await page.browserContext().close()
  })

  /** What reads as a length of the wrong unit, with a few words round it. */
  async function wrongLengths(wrong: RegExp): Promise<readonly string[]> {
    const page = await site.visit('/')
    const found: string[] = []
    for (const [path, words] of screensOf(await addressesOn(page))) {
      await show(page, site.address() + path, words)
      await new Promise(resolve => setTimeout(resolve, 300))
      const text = (await textOn(page)).replace(/\s+/g, ' ')
      for (const { index } of text.matchAll(wrong))
        found.push(
          `${path.replace(/^\/covers\/[^/]*/, '')}: …${text.slice(Math.max(0, index - 40), index + 20)}…`,
        )
    }
    await page.browserContext().close()
    return [...new Set(found)]
  }

  it('speaks no millimetre of a length in an inch workshop', async () => {
    expect(await wrongLengths(/\d\s?(mm|cm)\b/g)).to.deep.equal([])
  })

  it('speaks no inch in a metric one, whatever its covers and its stash were written in', async () => {
    const page = await site.visit('/settings')
    await choose(page, 'Unit', 'cm')
    await see(page, 'Saved', 'section[aria-label="Workshop"] [role="status"]')
    await page.browserContext().close()
    expect(await wrongLengths(/[\d¼½¾⅛⅜⅝⅞]\s?in\b(?! (all|a|the|one|hand)\b)|\d⁄\d/g)).to.deep.equal([])
  })

  it('follows what another window does, and says in a maker’s words where the two part', async () => {
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
    await type(page, '23.5')
    await see(page, 'Saved', '[aria-label="Saving"]')
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
    await see(page, 'Saved', '[aria-label="Saving"]')
    await other.setOfflineMode(false)
    await other.bringToFront()
    await see(other, 'changed in another window')
    await see(other, /Width 24\.5 cm 23 cm/, '[aria-label="Changed elsewhere"]')
    await page.browserContext().close()
  })
})
