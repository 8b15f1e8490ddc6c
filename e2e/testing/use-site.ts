import { choose, see } from './hands.js'
import { openSite, type Site } from './site.js'

/** A site of its own for the stories of a group: opened before them and handed to `open`, closed after them. */
export function useSite(
  open: (site: Site) => Promise<void> | void,
  options?: Parameters<typeof openSite>[0],
): void {
  let site: Site | undefined
  before(async () => {
    site = await openSite(options)
    await open(site)
  })
  afterEach(async function () {
    const error = this.currentTest?.err
    if (!error || !site) return
    // what is printed is the stack, as far as its first frame
    const shown = ['', ...(await site.shown()), ''].join('\n')
    error.stack = (error.stack ?? error.message).replace(/\n(?=\s+at )/, () => shown)
  })
  after(() => site?.close())
}

/** Has the workshop measure in another unit than inches, as its maker would set it. */
export async function measureIn(site: Site, unit: 'cm' | 'mm'): Promise<void> {
  const page = await site.visit('/settings')
  await choose(page, 'Unit', unit)
  await see(page, 'Saved', 'section[aria-label="Workshop"] [role="status"]')
  await page.browserContext().close()
}
