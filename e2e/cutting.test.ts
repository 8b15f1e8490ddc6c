import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { addressOf, choose, fill, pinch, press, pressAt, see, textOf } from './testing/hands.js'
import { phone, type Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('from cloth to pieces', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  const addresses = new Map<string, string>()
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    for (const name of ['Snow-profile notebook, by recipe', 'Rota planner, zipped', 'Star atlas, padded']) {
      await see(page, name)
      addresses.set(name, await addressOf(page, name))
    }
  })

  const open = async (name: string, at = page) => {
    await at.goto(`${site.address()}${addresses.get(name) ?? ''}/layout`)
    await see(at, 'Left over')
  }
  const group = (key: string) => `[data-group^="${key}"]`
  const handle = (label: string) => `button[data-handle][aria-label^="${label},"]`
  const placeOf = (label: string) => page.$eval(handle(label), element => element.getAttribute('data-at'))
  const isPinned = (label: string) =>
    page.$eval(handle(label), element => element.getAttribute('aria-pressed') === 'true')

  it('lays the pieces on what the stash has, and says what is left and that nothing need be bought', async () => {
    await open('Star atlas, padded')
    await see(page, '1 piece of the stash. Nothing to buy.', group('outer'))
    expect(await page.$$(`${group('outer')} [data-handle]`)).to.have.length(3)
    // 54 × 31 with a row of 13 3/8: 31 − 13 3/8 = 17 5/8 are left over the whole width.
    expect(await textOf(page, group('outer'))).to.match(/Left over: 54 × 17 5\/8 in/)
  })

  it('moves nothing under a hand that holds a piece, until that is put down', async () => {
    await page.waitForSelector('[data-layout="done"]')
    const lay = await placeOf('outer')
    const box = await (await page.$(handle('flap outer 1')))?.boundingBox()
    if (!box) throw new Error('The flap is not on the screen')
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
    await page.mouse.move(x, y)
    await page.mouse.down()
    await page.mouse.move(x, y + 12, { steps: 4 })
    // the layout changes meanwhile: another piece is moved, as from another window
    await page.$eval(handle('outer'), piece =>
      piece.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true })),
    )
    await page.waitForSelector(`${handle('outer')}[aria-pressed="true"]`)
    await page.waitForSelector('[data-layout="done"]')
    expect(await placeOf('outer')).to.equal(lay)
    await page.mouse.move(x, y)
    await page.mouse.up()
    await page.waitForSelector(`${handle('outer')}:not([data-at="${lay}"])`)
    for (const piece of ['flap outer 1', 'outer']) {
      await press(page, 'Undo the last change of the layout')
      await page.waitForSelector(`${handle(piece)}[aria-pressed="false"]`)
    }
    await see(page, /^Saved$/, '[aria-label="Saving of the layout"]')
  })

  it('keeps a dragged piece where it was put, over a reload too, while the rest flows round it', async () => {
    await open('Star atlas, padded')
    await page.waitForSelector('[data-layout="done"]')
    const piece = await page.waitForSelector(handle('flap outer 1'))
    const lay = await placeOf('flap outer 1')
    const box = await piece?.boundingBox()
    if (!box) throw new Error('The flap is not on the screen')
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2 - 40, box.y + box.height / 2 + 70, { steps: 8 })
    await page.mouse.up()
    await page.waitForSelector(`${handle('flap outer 1')}[aria-pressed="true"]:not([data-at="${lay}"])`)
    const put = await placeOf('flap outer 1')
    await page.waitForSelector('[data-layout="done"]')
    expect(await placeOf('flap outer 1')).to.equal(put)
    await see(page, /^Saved$/, '[aria-label="Saving of the layout"]')
    await open('Star atlas, padded')
    await page.waitForSelector(`${handle('flap outer 1')}[aria-pressed="true"]`)
    expect(await placeOf('flap outer 1')).to.equal(put)
  })

  it('comes closer between two fingers, and moves no piece by that', async () => {
    const hand = await site.visit(`${addresses.get('Star atlas, padded') ?? ''}/layout`, {
      ...phone,
      touch: true,
    })
    await see(hand, 'Left over')
    const cloth = await hand.waitForSelector(`${group('outer')} figure [data-handle]`)
    const places = () =>
      hand.$$eval('[data-handle]', pieces => pieces.map(piece => piece.getAttribute('data-at')).join())
    const lay = await places()
    await cloth?.evaluate(piece => piece.scrollIntoView({ block: 'center' }))
    const box = await cloth?.boundingBox()
    if (!box) throw new Error('The piece is nowhere')
    const between = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
    await see(hand, '100 %', `${group('outer')} figcaption`)
    // from 40 to 100 px apart: two and a half times as close
    await pinch(hand, between, 40, 100)
    await see(hand, '250 %', `${group('outer')} figcaption`)
    expect(await places()).to.equal(lay)
    await pinch(hand, between, 100, 20)
    await see(hand, '100 %', `${group('outer')} figcaption`)
    await hand.browserContext().close()
    // keys go to the window in front, once it knows that it is
    await page.bringToFront()
    await page.waitForFunction(() => document.hasFocus() && document.visibilityState === 'visible')
    await page.waitForSelector('[data-layout="done"]')
  })

  it('moves and lets go by the keyboard, and takes a change back', async () => {
    await page.focus(handle('flap outer 1'))
    const before = (await placeOf('flap outer 1'))?.split(' ').map(Number) ?? []
    // away from the end of the cloth, onto which a slow hand may have drawn it
    await page.keyboard.press('ArrowUp')
    await page.waitForFunction(
      (selector: string, y: number) =>
        Number(document.querySelector(selector)?.getAttribute('data-at')?.split(' ')[1]) < y,
      {},
      handle('flap outer 1'),
      before[1] ?? 0,
    )
    await page.focus(handle('flap outer 1'))
    await page.keyboard.press('Delete')
    await page.waitForSelector(`${handle('flap outer 1')}[aria-pressed="false"]`)
    await press(page, 'Undo the last change of the layout')
    await page.waitForSelector(`${handle('flap outer 1')}[aria-pressed="true"]`)
    await page.focus(handle('flap outer 1'))
    await page.keyboard.press('Delete')
    await page.waitForSelector(`${handle('flap outer 1')}[aria-pressed="false"]`)
    expect(await isPinned('outer')).to.equal(false)
  })

  it('says in order what the rotary cutter does, one cut lit at a time', async () => {
    await press(page, 'Rotary cutter')
    await see(page, 'Cut 1 of', group('outer'))
    await see(page, 'Set the ruler to', group('outer'))
    await pressAt(page, `${group('outer')} [aria-label="Next cut"]`)
    await see(page, 'Cut 2 of', group('outer'))
    expect(await page.$$(`${group('outer')} .mark-tape`)).to.have.length(1)
    await press(page, 'Scissors')
    await page.waitForFunction(() => !document.querySelector('[data-cut]'))
  })

  it('says what to buy in the shop’s steps, and asks the shop', async () => {
    await open('Rota planner, zipped')
    // Needs 10 in: three eighths of a yard.
    await see(page, 'Foam stabiliser: 13 1/2 in', '[data-buy]')
    await see(page, '1 × zip: in the stash')
    await press(page, 'Ask the shop')
    // 13 1/2 in are 342.9 mm, at 20 a metre 6.86.
    await see(page, '13 1/2 in of Test foam, 6.86', '[data-buy]')
  })

  it('says what goes onto no cloth, and by how much', async () => {
    await page.$eval(`${group('padding')} summary`, element => element.click())
    await fill(page, 'Width of the cloth to buy', '9')
    await page.keyboard.press('Enter')
    await page.keyboard.press('Tab')
    await see(page, /Padding goes onto no cloth: for the cloth to buy it is .* too/, group('padding'))
    await see(page, 'join the piece from two')
    await press(page, 'Undo the last change of the layout')
    await see(page, 'no layout takes less', group('padding'))
  })

  it('lays out several covers from the same cloth', async () => {
    await open('Rota planner, zipped')
    // the other covers may come after the layout
    await pressAt(page, 'summary ::-p-text(Cut other covers)')
    await press(page, 'Star atlas, padded')
    await see(page, 'lining · Star atlas, padded', group('lining'))
    await see(page, 'lining · Rota planner, zipped', group('lining'))
    await press(page, 'Undo the last change of the layout')
  })

  it('puts back what is left once it is cut, tells it in the history, and cuts nothing twice', async () => {
    await open('Snow-profile notebook, by recipe')
    const other = await site.anotherWindow(
      page,
      `${addresses.get('Snow-profile notebook, by recipe') ?? ''}/layout`,
    )
    await see(other, 'It is cut', group('outer'))
    await page.bringToFront()
    const cutIn = (window: Page) =>
      window.$$eval(`${group('outer')} button`, buttons =>
        buttons.find(({ innerText }) => innerText.includes('It is cut'))?.click(),
      )
    await cutIn(page)
    await see(page, 'Cut. What was left is back in the stash.', group('outer'))
    // the other window follows: there is nothing left to cut there
    await other.bringToFront()
    await see(other, 'Cut. What was left is back in the stash.', group('outer'))
    await other.close()
    await page.bringToFront()
    await page.goto(`${site.address()}/stash`)
    await see(page, 'Larch-needle print')
    await page.$eval('[data-material="Larch-needle print"] button', element =>
      (element as HTMLElement).click(),
    )
    // 18 in of a piece that shrinks by 3 % less the 9 in that were used.
    await see(page, 'left over', '[data-material="Larch-needle print"]')
    await see(page, 'History', '[data-material="Larch-needle print"]')
    await page.$$eval('[data-material="Larch-needle print"] summary', all => all.at(-1)?.click())
    await see(page, /cut: remnant 18 × 21/, '[data-material="Larch-needle print"]')
  })

  it('takes a piece into the stash as it is said, and a table that reads; one that does not changes nothing', async () => {
    const shelf = '[data-material="Larch-needle print"]'
    await fill(page, 'Width', '12 1/2')
    await fill(page, 'Length', '40 cm')
    await press(page, 'Add the piece')
    await see(page, /12 1\/2 × 15 3\/4 in/, shelf)
    const rows = (await page.$$('[data-material]')).length
    const upload = async (text: string) => {
      const field = await page.$('input[accept=".csv,text/csv"]')
      await field?.evaluate((element, content) => {
        const files = new DataTransfer()
        files.items.add(new File([content], 'stash.csv', { type: 'text/csv' }))
        element.files = files.files
        element.dispatchEvent(new Event('change', { bubbles: true }))
      }, text)
    }
    await upload('name,role,thickness\nScree tweed,sail,0.9 mm\n')
    await see(page, 'The table was not taken')
    await see(page, /In line 2, material.role: Expected outer/)
    expect(await page.$$('[data-material]')).to.have.length(rows)
    await upload(
      'name,role,thickness,pieceSource,pieceWidth,pieceLength\nScree tweed,outer,0.9 mm,remnant,20,30\n',
    )
    await see(page, '1 material was added')
    await see(page, '20 × 30 in', '[data-material="Scree tweed"]')
  })

  it('changes a material field by field, each saved by itself', async () => {
    await page.$eval('[data-material="Scree tweed"] button', element => (element as HTMLElement).click())
    await fill(page, 'Shrinks by, %', '4')
    await page.keyboard.press('Tab')
    await see(page, 'shrinks 4 %', '[data-material="Scree tweed"]')
    await choose(page, 'Print', 'one-way')
    await see(page, 'the print has a top', '[data-material="Scree tweed"]')
    await fill(page, 'Price', 'dear')
    await see(page, 'Expected an amount from 0', '[data-material="Scree tweed"]')
  })

  it('prints the layout with the cutting list, and cuts no size off', async () => {
    await page.goto(`${site.address()}${addresses.get('Rota planner, zipped') ?? ''}/cutting-list`)
    await see(page, 'drawn shorter than it is', '[data-piece="gusset"]')
    await page.waitForSelector('[aria-label="On the cloth"] [data-layout="done"] [data-sheet]')
    await see(page, 'gusset 1', '[aria-label="On the cloth"]')
    await page.emulateMediaType('print')
    const over = await page.$$eval('article svg.drawing', pictures =>
      pictures.flatMap(picture => {
        const frame = picture.getBoundingClientRect()
        return [...picture.querySelectorAll('text')].flatMap(text => {
          const { left, right, top, bottom } = text.getBoundingClientRect()
          const by = Math.max(frame.left - left, right - frame.right, frame.top - top, bottom - frame.bottom)
          return by > 1 ? [`${text.textContent} by ${Math.round(by)} px`] : []
        })
      }),
    )
    await page.emulateMediaType('screen')
    expect(over).to.deep.equal([])
  })

  it('prints the order of cuts where a rotary cutter cuts', async () => {
    await page.goto(`${site.address()}${addresses.get('Star atlas, padded') ?? ''}/layout`)
    await press(page, 'Rotary cutter')
    await see(page, /^Saved$/, '[aria-label="Saving of the layout"]')
    await page.goto(`${site.address()}${addresses.get('Star atlas, padded') ?? ''}/cutting-list`)
    await page.waitForSelector('[aria-label="On the cloth"] [data-cuts]')
    await see(page, /Set the ruler to [\d /]+in from the near end and cut across the cloth/, '[data-cuts]')
  })

  it('works on a phone: the cloth fits the screen', async () => {
    const small = await site.visit(`${addresses.get('Star atlas, padded') ?? ''}/layout`, phone)
    await see(small, 'Left over')
    const over = await small.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    expect(over).to.be.at.most(0)
    const inSight = await small.$eval('[aria-current="step"]', element => {
      const { right } = element.getBoundingClientRect()
      return right <= innerWidth + 1
    })
    expect(inSight).to.equal(true)
  })
})
