import { expect } from 'chai'
import { choose, see } from './testing/hands.js'
import { smallTargets, walkScreens, wrongLengths } from './testing/screens.js'
import { openSite, phone, type Site } from './testing/site.js'

describe('every screen, in a hand and in centimetres', function () {
  this.timeout(400_000)
  interface Seen {
    readonly path: string
    readonly small: readonly string[]
    readonly inches: readonly string[]
  }
  let site: Site
  let seen: readonly Seen[]
  before(async () => {
    site = await openSite()
    const page = await site.visit('/settings')
    await choose(page, 'Unit', 'cm')
    await see(page, 'Saved', 'section[aria-label="Workshop"] [role="status"]')
    await page.browserContext().close()
    seen = await walkScreens(site, { ...phone, touch: true }, async shown => ({
      path: shown.path,
      small: await smallTargets(shown.page, 44),
      inches: await wrongLengths(shown, /[\d¼½¾⅛⅜⅝⅞]\s?in\b(?! (all|a|the|one|hand)\b)|\d⁄\d/g),
    }))
  })
  after(() => site.close())

  it('has targets of 44 px or more under a finger', () => {
    expect(
      seen.filter(({ small }) => small.length > 0).map(({ path, small }) => [path, small]),
    ).to.deep.equal([])
  })

  it('speaks no inch in a metric workshop, whatever its covers and its stash were written in', () => {
    const found = seen.flatMap(({ inches }) => inches)
    expect(found).to.deep.equal([])
  })
})
