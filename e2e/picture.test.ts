import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { axe } from './testing/axe.js'
import { addressOf, fill, find, press, see, seeValue, textOf, undo, valueOf } from './testing/hands.js'
import { phone, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('the picture as the place to work', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  let ledger = ''
  let botany = ''
  let planner = ''
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Hut ledger, with ties')
    ledger = await addressOf(page, 'Hut ledger, with ties')
    botany = await addressOf(page, 'Botany journal on elastic')
    planner = await addressOf(page, 'Rota planner, zipped')
  })

  const told = '[aria-label="What was set"]'
  const picture = '[data-picture="strip"]'
  const sizeOf = (size: string, on = page) =>
    on.$eval(`[data-size="${size}"]`, element =>
      element.getAttribute('aria-valuetext')?.replaceAll('\u2044', '/').replace(/\s+/g, ' '),
    )

  /** Where an edge is taken hold of: the first or the last of those of a setting. */
  const holdOf = async (pull: string, which: 'first' | 'last' = 'first') => {
    await page.waitForSelector(`.pulls:not(.opacity-0) [data-pull="${pull}"]`)
    const places = await page.$$eval(`[data-pull="${pull}"] .pull-stroke`, strokes =>
      strokes.map(stroke => {
        const { x, y, width, height } = stroke.getBoundingClientRect()
        return [x + width / 2, y + height / 2] as const
      }),
    )
    return places.at(which === 'first' ? 0 : -1) ?? expect.fail(`Nothing to hold ${pull} by`)
  }
  const pull = async (from: readonly [number, number], byX: number) => {
    await page.mouse.move(...from)
    await page.mouse.down()
    await page.mouse.move(from[0] + byX / 2, from[1], { steps: 3 })
    await page.mouse.move(from[0] + byX, from[1], { steps: 3 })
  }

  it('has a flap pulled deeper, with what that does said as it moves, and undone at once', async () => {
    await page.goto(`${site.address()}${ledger}/make-up`)
    await see(page, 'Snug')
    const before = await valueOf(page, 'Flap depth')
    const hold = await holdOf('option.flapDepth')
    const scale = await page.$eval(`${picture} svg.drawing`, svg => svg.getScreenCTM()?.a ?? 0)
    // 1 in to the left on the screen is 1 in of flap; the first mark of the tape that is past it counts
    await pull(hold, -25.4 * scale)
    await see(page, 'Flap depth: 4 in', told)
    await see(page, 'cloth:', told)
    // the edge is under the hand still, though the cover is wider now
    const [x] = await holdOf('option.flapDepth')
    expect(x).to.be.closeTo(hold[0] - 25.4 * scale, 2)
    // longer than a pause in typing: what one hold does is one step, however long it rests
    await new Promise(resolve => setTimeout(resolve, 1600))
    await page.mouse.move(hold[0] - 38.1 * scale, hold[1])
    await see(page, 'Flap depth: 4 1/2 in', told)
    await page.mouse.up()
    await seeValue(page, 'Flap depth', '4 1/2 in')
    expect(await sizeOf('panel:back-flap')).to.equal('4 1/2 in')
    await undo(page)
    await seeValue(page, 'Flap depth', before)
  })

  it('says of a size that no setting decides what it follows, and has that typed where it stands', async () => {
    const spine = '[data-follows="Spine"]'
    await page.waitForSelector(spine)
    await page.$eval(spine, element => (element as SVGElement).focus())
    await page.keyboard.press('Enter')
    await see(page, 'it follows what was measured', '[role="dialog"]')
    expect(await axe(page)).to.deep.equal([])
    const before = await page.$eval(spine, element => element.getAttribute('aria-label') ?? '')
    await fill(page, 'Thickness', '1 1/2')
    await page.waitForFunction(
      (where: string, was: string) => document.querySelector(where)?.getAttribute('aria-label') !== was,
      {},
      spine,
      before,
    )
    await page.keyboard.press('Escape')
    await page.waitForSelector('[role="dialog"]', { hidden: true })
    expect(await page.evaluate(() => document.activeElement?.getAttribute('data-follows'))).to.equal('Spine')
    await undo(page)
    await page.waitForFunction(
      (where: string, was: string) => document.querySelector(where)?.getAttribute('aria-label') === was,
      {},
      spine,
      before,
    )
  })

  it('is put back by Escape while it is in hand, as if it had never been taken', async () => {
    const before = await valueOf(page, 'Flap depth')
    const hold = await holdOf('option.flapDepth', 'last')
    await pull(hold, 60)
    await see(page, /Flap depth: [4-9]/, told)
    await page.keyboard.press('Escape')
    await page.mouse.up()
    await see(page, 'Flap depth: 3 in', told)
    // to the letter: nobody typed an “in”
    await seeValue(page, 'Flap depth', before)
    expect(await sizeOf('panel:front-flap')).to.equal('3 in')
  })

  it('goes no further than the cover can be made, and says why', async () => {
    await page.goto(`${site.address()}${botany}/make-up`)
    await page.waitForSelector(picture)
    await pull(await holdOf('option.turnIn'), 200)
    await see(page, /No further: .*turn-in/i, told)
    await page.mouse.up()
    const text = await textOf(page)
    expect(text).to.not.include('Cannot be made')
  })

  it('has its sizes stepped and typed where they stand, heard with what became of the fit', async () => {
    await page.goto(`${site.address()}${ledger}/make-up`)
    await page.waitForSelector('[data-size="panel:back-flap"]')
    await page.$eval('[data-size="panel:back-flap"]', element =>
      (element as SVGElement & { focus: () => void }).focus(),
    )
    // sixteenths of an inch
    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('ArrowUp')
    await see(page, 'Flap depth: 3 1/8 in', told)
    expect(await sizeOf('panel:back-flap')).to.equal('3 1/8 in')
    await page.keyboard.type('3')
    await page.waitForFunction(() => document.activeElement?.matches('[data-length-field]'))
    await page.keyboard.type(' 3/4')
    await page.keyboard.press('Enter')
    await page.waitForFunction(() => document.activeElement?.getAttribute('data-size') === 'panel:back-flap')
    expect(await sizeOf('panel:back-flap')).to.equal('3 3/4 in')
    // the fit is said too, in a place that is read out
    await page.$eval('[data-size="width"]', element =>
      (element as SVGElement & { focus: () => void }).focus(),
    )
    for (let marks = 0; marks < 8; marks++) await page.keyboard.press('ArrowUp')
    await see(page, /Roomy/, '[role="status"][aria-label="Fit"]')
  })

  it('has an edge without a written size moved by keys', async () => {
    const opening = '[data-pull="option.turningOpening"][role="slider"]'
    await page.waitForSelector(opening)
    const lengthOf = () => page.$eval(opening, element => Number(element.getAttribute('aria-valuenow')))
    const before = await lengthOf()
    await page.$eval(opening, element => (element as SVGElement & { focus: () => void }).focus())
    await page.keyboard.press('PageUp')
    // eight sixteenths of an inch are 12.7 mm
    await page.waitForFunction(
      (selector: string, least: number) =>
        Number(document.querySelector(selector)?.getAttribute('aria-valuenow')) > least,
      {},
      opening,
      before + 12,
    )
    expect(await lengthOf()).to.be.closeTo(before + 12.7, 0.11)
    expect(await page.evaluate(() => document.activeElement?.getAttribute('data-pull'))).to.equal(
      'option.turningOpening',
    )
  })

  describe('what was added', () => {
    const grip = '.pulls:not(.opacity-0) [data-carry="0"]'
    const place = async () => {
      await page.waitForSelector(grip)
      const label = await page.$eval(grip, element => element.getAttribute('aria-label') ?? '')
      const plain = label.replaceAll('\u2044', '/').replace(/\s+/g, ' ')
      return /: (.*) from the left, (.*) from below/.exec(plain)?.slice(1) ?? []
    }
    const middle = () =>
      page.$eval(`${grip} .pull-stroke`, stroke => {
        const { x, y, width, height } = stroke.getBoundingClientRect()
        return [x + width / 2, y + height / 2] as const
      })
    const carryBy = async (right: number, down: number) => {
      await page.waitForSelector(grip)
      const [x, y] = await middle()
      await page.mouse.move(x, y)
      await page.mouse.down()
      await page.mouse.move(x + right / 2, y + down / 2, { steps: 3 })
      await page.mouse.move(x + right, y + down, { steps: 3 })
      return [x + right, y + down] as const
    }
    const usual = ['3 1/8 in', '2 5/16 in']

    before(async () => {
      await page.goto(`${site.address()}${planner}/make-up`)
      await press(page, 'Inside')
      expect(await place()).to.deep.equal(usual)
    })

    it('is carried to another place, drawn to its middle, and stays under the hand', async () => {
      const scale = await page.$eval(`${picture} svg.drawing`, svg => svg.getScreenCTM()?.a ?? 0)
      // up by 1 in and the width of a thread to the left: it is drawn back to the middle
      const hand = await carryBy(-scale, -25.4 * scale)
      await see(page, 'Divided pocket: 3 1/8 in from the left, 3 5/16 in from below', told)
      await page.mouse.up()
      expect(await place()).to.deep.equal(['3 1/8 in', '3 5/16 in'])
      const [, y] = await middle()
      expect(y).to.be.closeTo(hand[1], 2)
      await undo(page)
      expect(await place()).to.deep.equal(usual)
    })

    it('goes no further than what it sits on, and says so', async () => {
      await carryBy(-900, 0)
      await see(page, /Divided pocket: 0 in .*No further: that is where the front ends/, told)
      await page.keyboard.press('Escape')
      await page.mouse.up()
      expect(await place()).to.deep.equal(usual)
    })

    it('goes by the arrow keys, and is typed where it lies', async () => {
      await page.$eval(grip, element => (element as SVGElement).focus())
      await page.keyboard.press('ArrowRight')
      await page.keyboard.press('ArrowUp')
      await see(page, 'Divided pocket: 3 3/16 in from the left, 2 3/8 in from below', told)
      await page.keyboard.press('Enter')
      await page.waitForFunction(() => document.activeElement?.matches('[data-length-field]'))
      expect(await axe(page)).to.deep.equal([])
      await page.keyboard.type('1 1/2')
      await page.keyboard.press('Tab')
      await page.keyboard.type('2')
      await page.keyboard.press('Enter')
      await page.waitForSelector('[role="dialog"]', { hidden: true })
      expect(await place()).to.deep.equal(['1 1/2 in', '2 in'])
      expect(await page.evaluate(() => document.activeElement?.getAttribute('data-carry'))).to.equal('0')
    })

    it('at an edge is pulled along that', async () => {
      await page.goto(`${site.address()}${ledger}/make-up`)
      const tie = '[data-pull="extra.0.y"][role="slider"]'
      await page.waitForSelector(tie)
      const low = () => page.$eval(tie, element => Number(element.getAttribute('aria-valuenow')))
      const before = await low()
      await page.$eval(tie, element => (element as SVGElement).focus())
      await page.keyboard.press('PageDown')
      await see(page, /Pair of ties: from below: \d/, told)
      await page.waitForFunction(
        (selector: string, most: number) =>
          Number(document.querySelector(selector)?.getAttribute('aria-valuenow')) < most,
        {},
        tie,
        before - 12,
      )
      // eight sixteenths, onto a mark of the tape
      expect(await low()).to.be.closeTo(before - 12.7, 0.9)
      await undo(page)
    })
  })

  it('axe finds nothing while a size is being typed', async () => {
    await page.$eval('[data-size="height"]', element =>
      (element as SVGElement & { focus: () => void }).focus(),
    )
    await page.keyboard.press('Enter')
    await find(page, 'Finished height')
    await page.waitForSelector('form [data-length-field]')
    expect(await axe(page)).to.deep.equal([])
    await page.keyboard.press('Escape')
  })

  it('is worked in with a thumb', async () => {
    const held = await site.visit(`${ledger}/make-up`, { ...phone, touch: true })
    await held.waitForSelector('[data-size="panel:front-flap"]')
    const box = await held.$eval('[data-size="panel:front-flap"] rect', rect => {
      const { x, y, width, height } = rect.getBoundingClientRect()
      return { x: x + width / 2, y: y + height / 2, width, height }
    })
    await held.touchscreen.tap(box.x, box.y)
    await held.waitForSelector('form [data-length-field]')
    await held.keyboard.type('4')
    await press(held, '½')
    await held.keyboard.press('Enter')
    await held.waitForFunction(() => !document.querySelector('form [data-length-field]'))
    expect(await sizeOf('panel:front-flap', held)).to.equal('4 1/2 in')
    await held.browserContext().close()
  })

  it('has edges pulled and what was added carried by a thumb, and the page stays where it is', async () => {
    const held = await site.visit(`${planner}/make-up`, { ...phone, touch: true })
    await press(held, 'Inside')
    const drag = async (grip: string, right: number, down: number) => {
      await held.waitForSelector(`.pulls:not(.opacity-0) ${grip}`)
      const [x, y] = await held.$eval(`${grip} .pull-stroke`, stroke => {
        const box = stroke.getBoundingClientRect()
        return [box.x + box.width / 2, box.y + box.height / 2] as const
      })
      const thumb = await held.touchscreen.touchStart(x, y)
      for (let step = 1; step <= 8; step++) await thumb.move(x + (right * step) / 8, y + (down * step) / 8)
      return thumb
    }
    // a finger that pans the page lets go of what it has
    const carrying = await drag('[data-carry]', 4, 16)
    await held.waitForSelector('[data-carry].in-hand')
    // from 2 5/16: 16 pixels are more than an inch, and less than two
    await see(held, /Divided pocket: .* from the left, (1 )?\d\/\d+ in from below/, told)
    await carrying.end()
    await held.waitForSelector('[data-carry].in-hand', { hidden: true })
    await undo(held)
    const pulling = await drag('[data-pull="sizing.easeHeight"]', 8, -12)
    await held.waitForSelector('[data-pull="sizing.easeHeight"].in-hand')
    await see(held, /Ease to aim at, in height: [1-9]/, told)
    await pulling.end()
    await undo(held)
    expect(await held.evaluate(() => scrollY)).to.equal(0)
    await held.browserContext().close()
  })
})
