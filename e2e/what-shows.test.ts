import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { axe } from './testing/axe.js'
import { addressOf, fill, press, pressAt, see, textOf } from './testing/hands.js'
import { phone, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('what of a cloth shows on a cover', function () {
  this.timeout(240_000)
  let site: Site
  let page: Page
  let atlas = ''
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Star atlas, padded')
    atlas = await addressOf(page, 'Star atlas, padded')
  })

  const outer = '[data-group^="outer"]'
  const openLayout = async (on = page) => {
    await on.goto(`${site.address()}${atlas}/layout`)
    await laidOut(on)
  }
  const laidOut = async (on = page) => {
    await on.waitForSelector('[data-layout="done"]')
    await on.waitForSelector(`${outer} [data-handle]`)
  }
  const openShowing = async () => {
    await pressAt(page, `${outer} [data-showing-choice] button`)
    await page.waitForSelector('[data-showing] svg')
  }
  /** Middles of what is drawn in one way, in pixels. */
  const middlesOf = (style: string) =>
    page.$$eval(`[data-showing] path.mark-${style}`, paths =>
      paths.map(path => {
        const { left, top, width, height } = path.getBoundingClientRect()
        return { x: left + width / 2, y: top + height / 2 }
      }),
    )
  /** Where the pieces of the outer cloth lie, in inches. */
  const places = async () =>
    new Map(
      await page.$$eval(`${outer} [data-handle]`, handles =>
        handles.map(handle => {
          const [x = NaN, y = NaN] = (handle.getAttribute('data-at') ?? '').split(' ').map(Number)
          return [handle.getAttribute('aria-label')?.split(',')[0] ?? '', [x / 25.4, y / 25.4]] as const
        }),
      ),
    )

  /** Until a piece lies elsewhere than it lay, and everything else has found its place. */
  const movedFrom = async (name: string, [x, y]: readonly number[]) => {
    await page.waitForFunction(
      (selector, left, top) => {
        const at = document.querySelector(selector)?.getAttribute('data-at')
        const [across = left, along = top] = at?.split(' ').map(Number) ?? []
        return Math.abs(across - left) > 0.01 || Math.abs(along - top) > 0.01
      },
      {},
      `${outer} [data-handle][aria-label^="${name},"]`,
      25.4 * (x ?? NaN),
      25.4 * (y ?? NaN),
    )
    await laidOut()
  }

  it('is marked on its piece in the stash, by dragging, and given a name', async () => {
    await page.goto(`${site.address()}/stash`)
    await pressAt(page, '[data-material="Night-sky canvas"] button')
    await see(page, 'to show: the Plough', '[data-material="Night-sky canvas"]')
    await press(page, 'Mark what to avoid or to show on yardage, 54 × 31\u00a0in')
    const box = await (await page.waitForSelector('[data-marking]'))?.boundingBox()
    if (!box) throw new Error('The picture is not on the screen')
    await press(page, 'What to show')
    const at = (x: number, y: number): [number, number] => [box.x + x * box.width, box.y + y * box.height]
    // The words above the picture are others now: it may have moved.
    const moved = await (await page.waitForSelector('[data-marking]'))?.boundingBox()
    expect(Math.abs((moved?.y ?? NaN) - box.y)).to.be.below(40)
    await page.mouse.move(...at(0.7, 0.3))
    await page.mouse.down()
    await page.mouse.move(...at(0.8, 0.5), { steps: 5 })
    await page.mouse.up()
    await see(page, 'motif 2', '[data-modal]')
    expect(await axe(page)).to.deep.equal([])
    await press(page, 'Take motif 2 out')
    await press(page, 'Keep')
    await page.waitForSelector('[data-modal]', { hidden: true })
  })

  it('is drawn to where it shows right by a hand that comes near', async () => {
    await openLayout()
    await openShowing()
    await press(page, 'Put it there')
    const box = await (await page.waitForSelector('[data-showing]'))?.boundingBox()
    if (!box) throw new Error('The picture is not on the screen')
    const where = await textOf(page, '#showing-where')
    const slide = async (by: number) => {
      await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
      await page.mouse.down()
      await page.mouse.move(box.x + box.width / 2 + by, box.y + box.height / 2 - by, { steps: 4 })
      await page.mouse.up()
      return textOf(page, '#showing-where')
    }
    expect(await slide(2)).to.equal(where)
    expect(await slide(40)).to.not.equal(where)
    await page.keyboard.press('Escape')
    await page.waitForSelector('[data-showing]', { hidden: true })
  })

  it('is put in the middle of the front, and the piece stays there', async () => {
    await openLayout()
    await openShowing()
    await press(page, 'Put it there')
    const [mark] = await middlesOf('measure')
    // Back, spine, front.
    const front = (await middlesOf('fold'))[2]
    expect(mark?.x).to.be.closeTo(front?.x ?? NaN, 0.75)
    expect(mark?.y).to.be.closeTo(front?.y ?? NaN, 0.75)
    expect(await axe(page)).to.deep.equal([])
    const where = await textOf(page, '#showing-where')
    const before = (await places()).get('outer') ?? []
    await press(page, 'Keep it there')
    await movedFrom('outer', before)
    const [x = NaN, y = NaN] = (await places()).get('outer') ?? []
    // The same place, said and laid.
    const inches = (text = '') =>
      text
        .split(/[\s\u00a0]+/)
        .map(part => part.split(/[/⁄]/).map(Number))
        .reduce((sum, [over = 0, under = 1]) => sum + over / under, 0)
    const said = /lies (.*?)[\s\u00a0]in from the left, (.*?)[\s\u00a0]in from its beginning/.exec(where)
    expect(x).to.be.closeTo(inches(said?.[1]), 1 / 16)
    expect(y).to.be.closeTo(inches(said?.[2]), 1 / 16)
  })

  it('shows in the picture of the cover where it was put, and at true scale', async () => {
    await page.goto(`${site.address()}${atlas}/make-up`)
    await page.waitForSelector('[data-picture="strip"] path.fill-outside')
    const place = async () =>
      page.$$eval('[data-picture="strip"] path.fill-outside', panels => {
        const panel = panels.at(-1) as SVGGraphicsElement
        const { x, y, width, height } = panel.getBBox()
        const print = document.querySelector(panel.style.fill.replace(/^url\("?|"?\)$/g, ''))
        const [left = NaN, top = NaN] = ['x', 'y'].map(name => Number(print?.getAttribute(name) ?? NaN))
        return { middle: [x + width / 2, y + height / 2], height, print: [left, top] }
      })
    const { middle, print, height } = await place()
    // The Plough is 4 × 3 in at 25 and 11: its middle is at 27 and 12 ½, and the marks of the tape are sixteenths.
    expect((print[0] ?? NaN) + 27 * 25.4).to.be.closeTo(middle[0] ?? NaN, 25.4 / 16)
    expect((print[1] ?? NaN) + 12.5 * 25.4).to.be.closeTo(middle[1] ?? NaN, 25.4 / 16)
    // and so it stands on the shelf, smaller: half a pixel is left for its outline all round
    await page.goto(site.address())
    await see(page, 'Star atlas, padded')
    const found = await page.waitForFunction(() => {
      const place = [...document.querySelectorAll('li:has(.turning-front)')].find(({ textContent }) =>
        textContent.startsWith('Star atlas, padded'),
      )
      const front = place?.querySelector<SVGGraphicsElement>('.turning-front path')
      const shown = place?.querySelector('pattern')
      const [left = 0, top = 0] = ['x', 'y'].map(name => Number(shown?.getAttribute(name)))
      if (!front || !shown || left === 0) return undefined
      const box = front.getBBox()
      return { x: box.x + box.width / 2, y: box.y + box.height / 2, high: box.height + 1, left, top }
    })
    const shelf = await found.jsonValue()
    if (!shelf) throw new Error('The print is not on the shelf')
    const scale = shelf.high / height
    expect(shelf.left + 27 * 25.4 * scale).to.be.closeTo(shelf.x, 0.75)
    expect(shelf.top + 12.5 * 25.4 * scale).to.be.closeTo(shelf.y, 0.75)
    await openLayout()
  })

  it('slides beneath the piece, by hand and by key, to the marks of the tape, and is let go again', async () => {
    await openShowing()
    const [x = NaN, y = NaN] = (await places()).get('outer') ?? []
    const frame = await page.waitForSelector('[data-showing]')
    const box = await frame?.boundingBox()
    if (!frame || !box) throw new Error('The picture is not on the screen')
    await page.mouse.move(box.x + 0.5 * box.width, box.y + 0.5 * box.height)
    await page.mouse.down()
    await page.mouse.move(box.x + 0.4 * box.width, box.y + 0.5 * box.height, { steps: 5 })
    await page.mouse.up()
    await frame.focus()
    await page.keyboard.press('ArrowDown')
    const [mark] = await middlesOf('measure')
    expect(mark).to.not.equal(undefined)
    await press(page, 'Keep it there')
    await movedFrom('outer', [x, y])
    const moved = (await places()).get('outer') ?? []
    // The cloth went to the left, so that the piece lies further to the right on it; and down by one mark, a sixteenth.
    expect((moved[0] ?? NaN) - x).to.be.above(1)
    expect(y - (moved[1] ?? NaN)).to.be.within(0.01, 0.13)
    await openShowing()
    await press(page, 'Let the layout place it')
    await page.waitForSelector(`${outer} [data-handle][aria-pressed="true"]`, { hidden: true })
  })

  it('runs on from piece to piece once the stash says how often the print comes again', async () => {
    await page.goto(`${site.address()}${atlas}/layout`)
    await laidOut()
    await pressAt(page, `${outer} [data-meetings] summary`)
    await see(page, 'Say first how often the print of Night-sky canvas comes again', outer)
    await page.goto(`${site.address()}/stash`)
    await pressAt(page, '[data-material="Night-sky canvas"] button')
    await fill(page, 'Repeat along', '7')
    await page.keyboard.press('Tab')
    await see(page, 'Saved')
    await openLayout()
    await pressAt(page, `${outer} [data-meetings] summary`)
    await press(page, 'From outer to flap outer 1')
    await page.waitForSelector(`${outer} [data-meeting="meets"]`)
    await laidOut()
    const found = await places()
    const [outerAt, flapAt] = [found.get('outer'), found.get('flap outer 1')]
    // Both are as high: the print is level where they lie whole repeats of 7 apart along the cloth.
    const apart = ((flapAt?.[1] ?? NaN) - (outerAt?.[1] ?? NaN)) / 7
    expect(Math.abs(apart - Math.round(apart))).to.be.below(0.001)
    expect(await axe(page)).to.deep.equal([])
  })

  it('says by how much it misses where pins hold the pieces otherwise', async () => {
    await page.focus(`${outer} [data-handle][aria-label^="outer,"]`)
    await page.keyboard.press('Enter')
    await page.waitForSelector(`${outer} [data-handle][aria-pressed="true"]`)
    await laidOut()
    await page.focus(`${outer} [data-handle][aria-label^="flap outer 1"]`)
    await page.keyboard.press('ArrowDown')
    await page.waitForSelector(`${outer} [data-meeting="misses"]`)
    await see(page, 'it misses by 1/16 in along the cloth', outer)
    await page.reload()
    await laidOut()
    await see(page, 'The print runs on at 1 place', outer)
  })

  it('can be used on a phone', async () => {
    const small = await site.visit(`${atlas}/layout`, phone)
    await laidOut(small)
    await pressAt(small, `${outer} [data-showing-choice] button`)
    await small.waitForSelector('[data-showing] svg')
    const wide = await small.evaluate(() => document.documentElement.scrollWidth)
    expect(wide).to.be.at.most(phone.width)
    const modal = await (await small.waitForSelector('[data-modal]'))?.boundingBox()
    expect((modal?.x ?? NaN) + (modal?.width ?? NaN)).to.be.at.most(phone.width)
  })
})
