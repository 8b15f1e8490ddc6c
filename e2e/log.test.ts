import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { addressOf, choose, fill, press, pressAt, see, textOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('from the shelf to the log, and what the log changes', function () {
  this.timeout(240_000)
  let site: Site
  let page: Page
  let prints = ''
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Snow profiles, three prints')
    prints = await addressOf(page, 'Snow profiles, three prints')
  })

  const countOf = async () => {
    const text = await page.$eval('[data-count]', count => count.textContent)
    return text.split(' of ').map(Number) as [done: number, all: number]
  }
  const stepOf = () => page.$eval('[data-step]', step => step.getAttribute('data-step') ?? '')

  it('makes a cover at the table, to its last step', async () => {
    await page.goto(`${site.address()}${prints}/log`)
    await see(page, 'Nothing is in the log yet')
    await page.goto(`${site.address()}${prints}/bench`)
    await page.waitForSelector('[data-step]')
    for (let [done, all] = await countOf(); done < all - 1; [done, all] = await countOf()) {
      const before = await stepOf()
      await page.keyboard.press('y')
      await page.waitForFunction(
        was => document.querySelector('[data-step]')?.getAttribute('data-step') !== was,
        {},
        before,
      )
    }
    await page.keyboard.press('y')
    await page.waitForFunction(() =>
      document
        .querySelector('[data-count]')
        ?.textContent.split(' of ')
        .every((n, _, all) => n === all[0]),
    )
  })

  it('puts it into the log with what the table knows, and keeps what is said of it', async () => {
    await page.goto(`${site.address()}${prints}/log`)
    await see(page, 'Everything is done. Put it into the log')
    await press(page, 'Put it into the log')
    await see(page, 'Does it fit?')
    await see(page, 'Its chance of fitting was put at')
    // ticked off in seconds: that says nothing of how long it takes
    await see(page, 'No times: steps that are ticked off together')
    await choose(page, 'Across it is', 'snug')
    await choose(page, 'Does it fit?', 'yes')
    await fill(page, 'What would you do otherwise?', 'the spine print was off: centre it')
    await press(page, 'Remember it')
    await see(page, 'the spine print was off: centre it', '[aria-label="Next time"]')
    await press(page, 'Wash it in 6 months')
    await see(page, 'Saved', '[data-make]')
    await page.reload()
    await see(page, 'the spine print was off: centre it')
    expect(await page.$eval('select', select => select.value)).to.equal('yes')
  })

  it('shows the regret where the same way of making is planned again', async () => {
    const ledger = await addressOfOnShelf('Hut ledger, with ties')
    await page.goto(`${site.address()}${ledger}/make-up`)
    await see(page, 'the spine print was off: centre it', '[data-regrets]')
    // nothing of pockets, which it has none of; those of the prints were limp
    expect(await textOf(page, '[data-regrets]')).not.to.contain('limp')
    await page.goto(`${site.address()}${prints}/pieces`)
    await see(page, 'patch pocket: the pocket was limp: interface it', '[data-regrets]')
  })

  it('refuses a photo that is none, by name, and shows one that is', async () => {
    await page.goto(`${site.address()}${prints}/log`)
    const photo = await page.waitForSelector('input[aria-label="Photo of the make"]')
    const give = async (name: string, bytes: number[], type: string) => {
      await photo?.evaluate(
        (input, title, content, kind) => {
          const held = new DataTransfer()
          held.items.add(new File([new Uint8Array(content)], title, { type: kind }))
          input.files = held.files
          input.dispatchEvent(new Event('change', { bubbles: true }))
        },
        name,
        bytes,
        type,
      )
    }
    await give('notes.png', [...Buffer.from('not a picture at all')], 'image/png')
    await page.waitForSelector('[aria-label="Photos"] [role="alert"]')
    expect(await page.$$('[aria-label="Photos"] img')).to.have.length(0)
    const drawn = await page.evaluate(async () => {
      const canvas = Object.assign(document.createElement('canvas'), { width: 40, height: 30 })
      const context = canvas.getContext('2d')
      context?.fillRect(0, 0, 20, 30)
      const blob = await new Promise<Blob | null>(resolve => canvas.toBlob(resolve, 'image/png'))
      return blob ? [...new Uint8Array(await blob.arrayBuffer())] : []
    })
    await give('front.png', drawn, 'image/png')
    const image = await page.waitForSelector('[aria-label="Photos"] img')
    await page.waitForFunction(
      shown => (shown as HTMLImageElement).complete && (shown as HTMLImageElement).naturalWidth > 0,
      {},
      image,
    )
    await see(page, 'Saved', '[data-make]')
  })

  it('shows what all makes tell, and moves nothing before it is wanted', async () => {
    await page.goto(`${site.address()}/log`)
    await see(page, '15 makes')
    await see(page, /A seam comes out .* wide .* 14 makes yes/, '[data-learnt]')
    const ledger = await addressOfOnShelf('Hut ledger, with ties')
    await page.goto(`${site.address()}${ledger}/fit`)
    await see(page, 'Nothing here reckons with it yet', '[data-hand]')
    await page.goto(`${site.address()}${ledger}/pieces`)
    await see(page, '15 3/4 × 10 3/8 in', '[data-piece="outer"]')
  })

  it('plans for the maker’s own seams once that is wanted, says so beside the number, and takes it back', async () => {
    const ledger = await addressOfOnShelf('Hut ledger, with ties')
    await page.goto(`${site.address()}${ledger}/fit`)
    await press(page, 'Reckon with it here')
    await see(page, 'Planned for your hand: seams', '[data-hand]')
    await page.goto(`${site.address()}${ledger}/pieces`)
    await pressAt(page, '[data-piece="outer"] summary')
    await see(page, 'your seams come out wide', '[data-piece="outer"]')
    await page.goto(`${site.address()}${ledger}/fit`)
    await press(page, 'Leave it out again')
    await see(page, 'Nothing here reckons with it yet', '[data-hand]')
    await page.goto(`${site.address()}${ledger}/pieces`)
    await pressAt(page, '[data-piece="outer"] summary')
    await see(page, 'over the spine', '[data-piece="outer"]')
    expect(await textOf(page, '[data-piece="outer"]')).not.to.contain('your seams')
  })

  it('begins new covers for that hand, and gives the maker’s own minutes, where “use what is sure” is on', async () => {
    const before = await minutesOf()
    await page.goto(`${site.address()}/log`)
    await see(page, 'Use what is sure')
    await pressAt(page, 'input[type="checkbox"]')
    await page.waitForFunction(async () => {
      const answer = await fetch('/api/settings')
      return ((await answer.json()) as { learning: string }).learning === 'used'
    })
    expect(await minutesOf(before)).to.be.above(before)
    await page.goto(`${site.address()}/new`)
    await fill(page, 'What do you call it?', 'Field diary')
    await press(page, 'Measure it')
    await fill(page, 'Height', '8 1/4')
    await fill(page, 'Width', '5 3/4')
    await fill(page, 'Thickness', '3/4')
    await page.goto(`${page.url().replace(/\/measure$/, '')}/fit`)
    await see(page, 'Planned for your hand: seams', '[data-hand]')
  })

  async function addressOfOnShelf(name: string): Promise<string> {
    await page.goto(site.address())
    await see(page, name)
    return addressOf(page, name)
  }

  /** All minutes of the ledger’s steps, once they are not what they were. */
  async function minutesOf(was?: number): Promise<number> {
    const ledger = await addressOfOnShelf('Hut ledger, with ties')
    await page.goto(`${site.address()}${ledger}/make`)
    const said = await page.waitForFunction(
      before => {
        const minutes = Number(document.querySelector('[data-minutes]')?.getAttribute('data-minutes') ?? 0)
        return minutes > 0 && minutes !== before && minutes
      },
      {},
      was,
    )
    return Number(await said.jsonValue())
  }
})
