import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { addressOf, fill, find, press, pressAt, see, valueOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('links for others', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  let cover = ''
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Hut ledger, with ties')
    cover = await addressOf(page, 'Hut ledger, with ties')
    await page.goto(`${site.address()}${cover}/take-away`)
  })

  const linkFrom = async (name: string) => {
    await press(page, `Make a link: ${name}`)
    const field = await find(page, 'The link')
    return new URL(await field.evaluate(input => (input as HTMLInputElement).value)).pathname
  }

  it('show somebody the project sheet, and no way into the workshop', async () => {
    const guest = await site.visit(await linkFrom('To look at the project sheet'))
    await see(guest, 'Hut ledger, with ties')
    await see(guest, 'Finished width')
    expect(await guest.$$('a[href="/"], a[href="/stash"], a[href="/settings"]')).to.deep.equal([])
    await press(page, 'Take it back')
    await page.waitForFunction(() => !document.querySelector('[data-share="sheet"] li'))
    await guest.reload()
    await see(guest, 'This link leads nowhere')
    await guest.browserContext().close()
  })

  it('let the owner measure in a unit of their own, with our checks, and the maker take it', async () => {
    const owner = await site.visit(await linkFrom('To measure the thing'))
    await press(owner, 'millimetres')
    await fill(owner, 'Height', '241')
    await fill(owner, 'Width', '170')
    await fill(owner, 'Wrap', '300')
    // twice the width does not go round in that
    await see(owner, 'the two boards alone take 340 mm', '[data-reading="wrap"]')
    expect(await owner.$$('a[href="/practice"]')).to.deep.equal([])
    await fill(owner, 'Wrap', '378')
    await fill(owner, 'Thickness', '32')
    await press(owner, 'Send the measurements')
    await see(owner, 'Sent. Thank you.')
    await owner.browserContext().close()
    await page.goto(`${site.address()}${cover}/measure`)
    await see(
      page,
      /Its owner measured it on .* in millimetres: Height 241/,
      '[aria-label="What its owner sent"]',
    )
    expect(await valueOf(page, 'Height')).to.equal('9 3/8')
    await press(page, 'Take these readings')
    await page.waitForFunction(() => !document.querySelector('[aria-label="What its owner sent"]'))
    expect(await valueOf(page, 'Height')).to.equal('241 mm')
    // back as it was, in one step
    await page.keyboard.down('Control')
    await page.keyboard.press('z')
    await page.keyboard.up('Control')
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-reading="height"] input')?.value === '9 3/8',
    )
  })

  it('say in words what is wrong with what is sent, and with a link that is none', async () => {
    await page.goto(`${site.address()}${cover}/take-away`)
    const owner = await site.visit(await linkFrom('To measure the thing'))
    await fill(owner, 'Height', 'tall')
    await press(owner, 'Send the measurements')
    await see(owner, 'No number found in “tall”', '[role="alert"]')
    await owner.goto(`${site.address()}/shared/nothing`)
    await see(owner, 'This link leads nowhere')
    await owner.browserContext().close()
    await pressAt(page, '[data-share="measure"] li button ::-p-text(Take it back)')
  })
})
