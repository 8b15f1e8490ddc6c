import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { addressOf, press, pressAt, see } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

const mmAnInch = 25.4

describe('the maker’s own cloth', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  let atlas = ''
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Star atlas, padded')
    atlas = await addressOf(page, 'Star atlas, padded')
  })

  const canvas = '[data-material="Night-sky canvas"]'
  const unfold = async () => {
    await page.goto(`${site.address()}/stash`)
    await pressAt(page, `${canvas} button`)
  }

  it('has places to avoid: dragged out on its picture, measured, and taken out', async () => {
    await unfold()
    await press(page, 'Mark what to avoid on yardage, 54 × 31\u00a0in')
    const picture = await page.waitForSelector('[data-marking]')
    const box = await picture?.boundingBox()
    if (!box) throw new Error('The picture is not on the screen')
    const at = (x: number, y: number): [number, number] => [box.x + x * box.width, box.y + y * box.height]
    await page.mouse.move(...at(0.4, 0.1))
    await page.mouse.down()
    await page.mouse.move(...at(0.5, 0.4), { steps: 5 })
    await page.mouse.up()
    await see(page, 'Place 1')
    await press(page, 'A place')
    await press(page, 'Take place 2 out')
    await press(page, 'Keep')
    await see(page, '1 place to avoid', canvas)
  })

  it('is laid out round them', async () => {
    await page.goto(`${site.address()}${atlas}/layout`)
    await page.waitForSelector('[data-layout="done"]')
    await page.waitForSelector('[data-group^="outer"] [data-handle]')
    const response = await page.evaluate(async () => {
      const answer = await fetch('/api/stash/pieces?limit=100')
      return (await answer.json()) as {
        items: { avoid: Record<'x' | 'y' | 'width' | 'height', string>[]; width: string }[]
      }
    })
    const [place] = response.items.find(({ width }) => width === '54')?.avoid ?? []
    if (!place) throw new Error('Nothing is kept of the place')
    // Said as eighths of an inch: “21 3/8 in”.
    const inches = (text: string) =>
      text
        .replace(' in', '')
        .split(' ')
        .map(part => part.split('/').map(Number))
        .reduce((sum, [over = 0, under = 1]) => sum + over / under, 0)
    const pieces = await page.$$eval('[data-group^="outer"] [data-handle]', handles =>
      handles.map(handle => {
        const frame = handle.parentElement?.getBoundingClientRect()
        const { width, height } = handle.getBoundingClientRect()
        const [x = NaN, y = NaN] = (handle.getAttribute('data-at') ?? '').split(' ').map(Number)
        return { x, y, wide: width / (frame?.width ?? NaN), high: height / (frame?.height ?? NaN) }
      }),
    )
    expect(pieces).to.have.length(3)
    // The picture is 54 in and 2.4 thirtieths of them wide, 31 in and 0.8 thirtieths of 54 high.
    const [pictureWide, pictureHigh] = [54 * 1.08, 31 + (54 * 0.8) / 30]
    for (const { x, y, wide, high } of pieces) {
      const [left, top] = [x / mmAnInch, y / mmAnInch]
      const beside =
        left + wide * pictureWide <= inches(place.x) + 0.05 ||
        inches(place.x) + inches(place.width) <= left + 0.05 ||
        top + high * pictureHigh <= inches(place.y) + 0.05 ||
        inches(place.y) + inches(place.height) <= top + 0.05
      expect(beside, `${left}, ${top}`).to.equal(true)
    }
  })
})
