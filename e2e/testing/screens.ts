import type { Page } from 'puppeteer-core'
import { addressOf, see } from './hands.js'
import type { Site, Size } from './site.js'

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
  ['make', 'of work'],
  ['log', 'Does it fit|Nothing is in the log'],
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
    ['/practice', /red line/],
    ['/devices', /Label printer/],
    ['/log', /What they tell/],
    ['/time', /of setting up/],
    ['/series', /at the least|no fewer/],
    ['/nothing/here', /There is nothing/],
    ...covers.flatMap(name => [
      ...stations.map(
        ([station, words]) => [`${addresses.get(name) ?? ''}/${station}`, new RegExp(words)] as const,
      ),
      [`${addresses.get(name) ?? ''}/cutting-list`, /points to the top/] as const,
      [`${addresses.get(name) ?? ''}/steps`, /of work/] as const,
      [`${addresses.get(name) ?? ''}/take-away`, /Project sheet/] as const,
      [`${addresses.get(name) ?? ''}/bench`, /Step \d/] as const,
      [`${addresses.get(name) ?? ''}/folded`, /The pieces on the table/] as const,
    ]),
  ]
}

async function addressesOn(page: Page): Promise<ReadonlyMap<string, string>> {
  await see(page, 'Covers stand closed')
  const found = new Map<string, string>()
  for (const name of covers) found.set(name, await addressOf(page, name))
  return found
}

/** A screen as a visitor has it before the eyes. */
interface Shown {
  readonly path: string
  readonly page: Page
}

/** Goes to every screen once, with everything on it unfolded, and tells what `look` saw there. */
export async function walkScreens<Seen>(
  site: Site,
  size: Size,
  look: (shown: Shown) => Promise<Seen>,
): Promise<readonly Seen[]> {
  const page = await site.visit('/', size)
  const seen: Seen[] = []
  for (const [path, words] of screensOf(await addressesOn(page))) {
    await page.goto(site.address() + path)
    await see(page, words)
    await unfold(page)
    seen.push(await look({ path, page }))
  }
  await page.browserContext().close()
  return seen
}

function unfold(page: Page): Promise<void> {
  return page.evaluate(async () => {
    for (const details of document.querySelectorAll('details')) details.open = true
    document.querySelector<HTMLElement>('[data-material] button[aria-expanded="false"]')?.click()
    // What was folded away is drawn when it hears that it is open.
    for (let frame = 0; frame < 2; frame++) await new Promise(done => requestAnimationFrame(done))
  })
}

/** Everything to be pressed or typed in that is smaller than so many pixels, as a maker would call it. */
export function smallTargets(page: Page, least: number): Promise<readonly string[]> {
  return page.evaluate(wanted => {
    const targets = 'a[href], button, select, summary, input, textarea, [role="slider"], [role="radio"]'
    return [...document.querySelectorAll<HTMLElement>(targets)].flatMap(element => {
      const label = element.matches('[type="checkbox"], [type="radio"]') ? element.closest('label') : null
      const { width, height } = (label ?? element).getBoundingClientRect()
      // Words within a sentence, what is drawn to scale, and what nobody sees are no targets of their own.
      const isExempt =
        (element.matches('a') && getComputedStyle(element).display === 'inline') ||
        element.matches('[data-handle], [data-at], [data-pull], [type="file"]') ||
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

/** What reads as a length of the wrong unit, with a few words round it. */
export async function wrongLengths({ path, page }: Shown, wrong: RegExp): Promise<readonly string[]> {
  const text = (await textOn(page)).replace(/\s+/g, ' ')
  const where = path.replace(/^\/covers\/[^/]*/, '')
  return [...text.matchAll(wrong)].map(
    ({ index }) => `${where}: …${text.slice(Math.max(0, index - 40), index + 20)}…`,
  )
}

/** What of the page lies over the open dialog or its shade, at a grid of points. */
export function shiningThrough(page: Page): Promise<readonly string[]> {
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
