import { expect } from 'chai'
import { smallTargets, walkScreens, wrongLengths } from './testing/screens.js'
import { phone, type Site } from './testing/site.js'
import { measureIn, useSite } from './testing/use-site.js'

describe('every screen, in a hand and in centimetres', function () {
  this.timeout(400_000)
  interface Seen {
    readonly path: string
    readonly small: readonly string[]
    readonly inches: readonly string[]
  }
  let site: Site
  let seen: readonly Seen[]
  useSite(async opened => {
    site = opened
    await measureIn(site, 'cm')
    seen = await walkScreens(site, { ...phone, touch: true }, async shown => ({
      path: shown.path,
      small: await smallTargets(shown.page, 44),
      inches: await wrongLengths(shown, /[\d¼½¾⅛⅜⅝⅞]\s?in\b(?! (all|a|the|one|hand)\b)|\d⁄\d/g),
    }))
  })

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
