import { expect } from 'chai'
import { pressAt } from './testing/hands.js'
import { shiningThrough, smallTargets, walkScreens, wrongLengths } from './testing/screens.js'
import { desk, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('every screen, at a desk', function () {
  this.timeout(400_000)
  interface Seen {
    readonly path: string
    readonly title: string
    readonly small: readonly string[]
    readonly metric: readonly string[]
    readonly through: readonly string[]
  }
  let site: Site
  let seen: readonly Seen[]
  useSite(async opened => {
    site = opened
    seen = await walkScreens(site, desk, async shown => {
      const { path, page } = shown
      const title = await page.title()
      const small = await smallTargets(page, 24)
      const metric = await wrongLengths(shown, /\d\s?(mm|cm)\b/g)
      await pressAt(page, 'button[aria-label="Keyboard shortcuts"]')
      await page.waitForSelector('[role="dialog"]')
      const through = await shiningThrough(page)
      await page.keyboard.press('Escape')
      await page.waitForSelector('[role="dialog"]', { hidden: true })
      return { path, title, small, metric, through }
    })
  })

  it('has targets of 24 px or more under a pointer', () => {
    expect(
      seen.filter(({ small }) => small.length > 0).map(({ path, small }) => [path, small]),
    ).to.deep.equal([])
  })

  it('is called by what it shows', () => {
    const titles = seen.filter(({ path }) => path !== '/nothing/here').map(({ title }) => title)
    expect(new Set(titles).size).to.equal(titles.length)
    for (const title of titles) expect(title).to.match(/^.+ · Snowdrift$/)
    expect(titles).to.include('Hut ledger, with ties · Make-up · Snowdrift')
    expect(titles).to.include('Hut ledger, with ties · Cutting list · Snowdrift')
  })

  it('speaks no millimetre of a length in an inch workshop', () => {
    expect(seen.flatMap(({ metric }) => metric)).to.deep.equal([])
  })

  it('lies beneath the list of shortcuts', () => {
    expect(
      seen.filter(({ through }) => through.length > 0).map(({ path, through }) => [path, through]),
    ).to.deep.equal([])
  })

  it('complains of nothing on the console', () => {
    expect(site.complaints()).to.deep.equal([])
  })
})
