import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { addressOf, fill, press, pressAt, see } from './testing/hands.js'
import { phone, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('at the table', function () {
  this.timeout(240_000)
  let site: Site
  let page: Page
  let ledger = ''
  let steps = 0
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Hut ledger, with ties')
    ledger = await addressOf(page, 'Hut ledger, with ties')
  })

  const countOf = async (on: Page) => {
    const text = await on.$eval('[data-count]', count => count.textContent)
    return text.split(' of ').map(Number) as [done: number, all: number]
  }
  const stepOf = (on: Page) => on.$eval('[data-step]', step => step.getAttribute('data-step') ?? '')
  /** Presses a key, and waits until it came to something. */
  const key = async (on: Page, name: ' ' | 'y' | 'n') => {
    const before = await stepOf(on)
    await on.keyboard.press(name === ' ' ? 'Space' : name)
    await on.waitForFunction(
      was => document.querySelector('[data-step]')?.getAttribute('data-step') !== was,
      {},
      before,
    )
  }
  const begin = async (address: string, on = page) => {
    await on.goto(`${site.address()}${address}/bench`)
    await on.waitForSelector('[data-step]')
  }
  /** To the end by the keyboard alone: yes to whatever is asked. */
  const makeRest = async (on: Page) => {
    for (let [done, all] = await countOf(on); done < all - 1; [done, all] = await countOf(on))
      await key(on, 'y')
    await on.keyboard.press('y')
    await on.waitForFunction(() =>
      document
        .querySelector('[data-count]')
        ?.textContent.split(' of ')
        .every((n, _, all) => n === all[0]),
    )
  }

  it('leads from the plan to the first step', async () => {
    await page.goto(`${site.address()}${ledger}/make`)
    await see(page, '1 h')
    await page.waitForSelector('[data-step-line="sew-round"]')
    await press(page, 'Begin at the table')
    await see(page, 'Measure once more', '[data-step]')
    // the readings of this very cover
    await see(page, 'height 9 3/8 in', '[data-step]')
    ;[, steps] = await countOf(page)
  })

  it('goes on with one key, and remembers through a reload', async () => {
    await key(page, ' ')
    await key(page, ' ')
    await see(page, 'Straighten and square', '[data-step]')
    await see(page, 'Saved')
    await page.reload()
    await see(page, 'Straighten and square', '[data-step]')
    expect(await countOf(page)).to.deep.equal([2, steps])
    await key(page, ' ')
  })

  it('shows the number that matters now, large', async () => {
    await see(page, '15 3/4 × 10 3/8 in', '[data-headline]')
  })

  it('asks about a made size that no hand errs by, and takes one that was cut otherwise', async () => {
    await pressAt(page, '[aria-label="As it was made"] summary')
    await fill(page, 'Outer, height as made', '15 3/4')
    await page.keyboard.press('Tab')
    await see(page, 'Are width and height exchanged?')
    await press(page, 'I mistyped')
    await fill(page, 'Outer, height as made', '10 1/4')
    await page.keyboard.press('Tab')
    await see(page, 'lining: 15 3/4 × 10 1/4 in instead of 15 3/4 × 10 3/8 in', '[data-follows]')
    await see(page, 'Not cut yet: cut it so.', '[data-follows-piece="flap"]')
    await page.$$eval('input:focus', fields => {
      for (const field of fields) field.blur()
    })
  })

  it('has what follows at the steps that follow', async () => {
    await key(page, 'y')
    await see(page, '15 3/4 × 10 1/4 in', '[data-headline]')
  })

  it('says what to do where the answer is no, and how cheap that is', async () => {
    await page.keyboard.press('n')
    await see(page, 'Too large: trim it', '[data-mend]')
    await see(page, 'Too late to mend')
    await press(page, 'Mended: go on')
    await see(page, 'Cut padding', '[data-step]')
  })

  it('goes on while the server is away, and saves when it is back', async () => {
    await see(page, 'Saved')
    await site.goDown()
    await key(page, 'y')
    await see(page, 'Server away: kept on this device')
    await key(page, 'y')
    await site.comeUp()
    await see(page, 'Saved')
    expect((await countOf(page))[0]).to.equal(7)
  })

  it('loses neither’s progress where two devices work on it', async () => {
    const other = await site.visit(`${ledger}/bench`, phone)
    await other.waitForSelector('[data-step]')
    expect(await countOf(other)).to.deep.equal([7, steps])
    await other.goto(`${site.address()}${ledger}/bench?step=press-flaps`)
    await other.waitForSelector('[data-step="press-flaps"]')
    await Promise.all([key(other, 'y'), key(page, 'y')])
    for (const device of [page, other])
      await device.waitForFunction(
        () => document.querySelector('[data-count]')?.textContent.startsWith('9 of'),
        { timeout: 30_000 },
      )
    await other.browserContext().close()
  })

  it('asks about a step that is done out of order, and takes nothing silently', async () => {
    await page.goto(`${site.address()}${ledger}/bench?step=turn-out`)
    await page.waitForSelector('[data-step="turn-out"]')
    await page.keyboard.press('Space')
    await see(page, 'Something comes first')
    await see(page, 'Pins out, trim, clip the corners', '[data-modal]')
    await press(page, 'Not yet')
    expect((await countOf(page))[0]).to.equal(9)
  })

  it('waits at a gate for an answer', async () => {
    await page.goto(`${site.address()}${ledger}/bench?step=check-sides`)
    await page.waitForSelector('[data-step="check-sides"]')
    await page.keyboard.press('Space')
    await see(page, 'Is the front flap where the front will be', '[data-check]')
    expect(await stepOf(page)).to.equal('check-sides')
  })

  it('takes the size as it is sewn, says whether it still goes, and how far to let it out', async () => {
    await page.goto(`${site.address()}${ledger}/bench?step=turn-out`)
    // unfolded already: the outer was cut otherwise
    await page.waitForSelector('[data-step="turn-out"]')
    const asSewn = async (width: string, says: string) => {
      await fill(page, 'Outer, width sewn and turned', width)
      await page.keyboard.press('Tab')
      await see(page, says, '[data-follows]')
    }
    // planned 15 3/4 less twice 1/4 and the turned edges, 15 7/32; the boards need all but 5 mm of it
    await asSewn('14 1/2', 'In width each seam would have to be let out by')
    await asSewn('15 7/32', 'As it was made: snug')
    await page.$$eval('input:focus', fields => {
      for (const field of fields) field.blur()
    })
  })

  it('offers practice where the slip happened', async () => {
    await page.goto(`${site.address()}${ledger}/bench?step=check-sides`)
    await page.waitForSelector('[data-step="check-sides"]')
    await page.keyboard.press('n')
    await page.waitForSelector('[data-mend] [data-practise="sides"]')
    await press(page, 'Ask again')
  })

  it('is made to the end, and prints its steps with boxes', async () => {
    await begin(ledger)
    await makeRest(page)
    await see(page, 'Saved')
    await page.goto(`${site.address()}${ledger}/steps`)
    await page.waitForSelector('[data-step-line="finish"]')
    await page.emulateMediaType('print')
    await see(page, '☑ Measure once more', '[data-step-line="measure-thing"]')
    await see(page, 'Sew with 1/4 in of seam', '[data-step-line="sew-round"]')
    expect((await page.pdf()).length).to.be.greaterThan(5000)
    await page.emulateMediaType('screen')
  })

  it('keeps what is done where the cover changes on the bench, and says what no longer matches', async () => {
    await page.goto(`${site.address()}${ledger}/make-up`)
    const flaps = await page.waitForSelector('::-p-aria([name="Flaps"])')
    await flaps?.select('faced')
    await see(page, 'Saved')
    await page.goto(`${site.address()}${ledger}/make`)
    await see(page, 'no longer part of it', '[data-no-longer]')
    await see(page, 'press flaps', '[data-no-longer]')
  })

  for (const [name, waits] of [
    ['E-reader sleeve, quilted', undefined],
    ['Botany journal on elastic', 'Laminate the sheets'],
  ] as const)
    it(`makes the whole of “${name}” step by step`, async () => {
      await page.goto(site.address())
      await see(page, name)
      await begin(await addressOf(page, name))
      await makeRest(page)
      if (waits !== undefined) {
        await see(page, `${waits}: 11 h 59 min`, '[aria-label="Waits"]')
        await page.reload()
        await see(page, `${waits}: 11 h 5`, '[aria-label="Waits"]')
      }
    })

  it('rings on every screen when a wait is over', async () => {
    const cover = (await addressOf(page, 'Botany journal on elastic')).split('/').at(-1) ?? ''
    const endsAt = new Date(Date.now() - 60_000).toISOString()
    const kept = JSON.stringify([{ cover, step: 'laminate', name: 'Laminate the sheets', endsAt }])
    await page.evaluate(waits => localStorage.setItem('snowdrift.waits', waits), kept)
    await page.goto(`${site.address()}/stash`)
    await see(page, 'Laminate the sheets: ready since 1 min', '[data-wait-over]')
    await press(page, 'Not now')
    await page.waitForFunction(() => document.querySelector('[data-wait-over]') === null)
    await page.evaluate(() => localStorage.removeItem('snowdrift.waits'))
  })

  it('opens a card where a technique may be wanted', async () => {
    await page.goto(site.address())
    await see(page, 'Botany journal on elastic')
    const journal = await addressOf(page, 'Botany journal on elastic')
    await page.goto(`${site.address()}${journal}/bench?step=thread-elastic`)
    await press(page, 'How: threading the elastic, hole by hole')
    await see(page, 'pull until the case lies flat', '[data-technique]')
  })

  it('changes its steps with what is at hand', async () => {
    await page.goto(`${site.address()}/settings`)
    await page.waitForSelector('::-p-aria([name="Sewing machine"])')
    await (await page.$('::-p-aria([name="Sewing machine"])'))?.select('no')
    await see(page, 'Saved')
    await page.goto(`${site.address()}${ledger}/bench?step=sew-round`)
    await see(page, 'By hand: backstitch', '[data-step]')
  })
})
