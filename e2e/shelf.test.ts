import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { choose, fill, find, press, pressAt, see } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

const names = (page: Page) =>
  page.$$eval('ul[aria-label="Covers"] > li a', links => links.map(link => link.textContent))

describe('the shelf of a maker with many covers', function () {
  this.timeout(240_000)
  let site: Site
  let page: Page
  useSite(async opened => {
    site = opened
    page = await site.visit('/')
    await see(page, 'Star atlas, padded')
  })

  const until = (count: number) =>
    page.waitForFunction(
      wanted => document.querySelectorAll('ul[aria-label="Covers"] > li a').length === wanted,
      {},
      count,
    )

  it('says what waits today', async () => {
    await see(page, /Rota planner, zipped wanted in \d+ days/, '[data-today]')
    await see(page, 'wash it', '[data-today]')
  })

  it('turns the spine of a cover to whoever points at it, by hand or by key', async () => {
    const link = await find(page, 'Star atlas, padded')
    const path = await link.evaluate(element => element.getAttribute('href'))
    const place = `li:has(> div a[href="${path}"])`
    const widthOf = (part: string) =>
      page.$eval(`${place} .turning-${part}`, element => element.getBoundingClientRect().width)
    const stands = () => page.waitForFunction(() => document.getAnimations().length === 0)
    const isWider = (than: number) =>
      page.waitForFunction(
        (selector, least) => (document.querySelector(selector)?.getBoundingClientRect().width ?? 0) > least,
        {},
        `${place} .turning-spine`,
        than,
      )
    await page.waitForSelector(`${place} .turning-spine`)
    // The mouse may rest there: away from every cover.
    await page.mouse.move(2, 2)
    await stands()
    const [spine, front] = [await widthOf('spine'), await widthOf('front')]
    await link.focus()
    await isWider(2.5 * spine)
    await stands()
    // 0.71 of it instead of 0.22, and of the front 0.71 instead of all; lines and thread lie half a pixel over the edges.
    expect(await widthOf('spine')).to.be.closeTo((0.71 / 0.22) * spine, 3)
    expect(await widthOf('front')).to.be.closeTo(0.71 * front, 3)
    await link.evaluate(element => element.blur())
    await stands()
    expect(await widthOf('spine')).to.be.closeTo(spine, 0.5)
    await link.hover()
    await isWider(2.5 * spine)
  })

  it('finds by name, cloth and thing, and by how far a cover is', async () => {
    await fill(page, 'Find on the shelf', 'larch atlas')
    await see(page, 'Nothing on the shelf is like that.')
    await fill(page, 'Find on the shelf', 'larch')
    await see(page, /\d of 12/)
    expect(await names(page)).to.include('Botany journal on elastic')
    expect(await names(page)).not.to.include('Star atlas, padded')
    await press(page, 'Show all')
    await until(12)
    await choose(page, 'How far it is', 'made')
    await until(3)
    expect(await names(page)).to.include('Hut ledger, with ties')
    await press(page, 'Show all')
  })

  it('puts them in order of name and of date', async () => {
    await choose(page, 'Order', 'name')
    await page.waitForFunction(() =>
      document.querySelector('ul[aria-label="Covers"] > li a')?.textContent.startsWith('Botany'),
    )
    await choose(page, 'Order', 'due')
    await page.waitForFunction(
      () => document.querySelector('ul[aria-label="Covers"] > li a')?.textContent === 'Rota planner, zipped',
    )
    await choose(page, 'Order', 'newest')
  })

  it('shows what changes before a cover is made for another thing', async () => {
    await press(page, 'More for Star atlas, padded')
    await see(page, 'Another one like it')
    const thing = await page.$$eval(
      'section[aria-label="Another one like it"] option',
      options => options.find(option => option.textContent === 'Hut ledger')?.value ?? '',
    )
    await choose(page, 'For', thing)
    await see(page, /outer .* 15 3\/4 × 10 1\/2 in/, '[data-changes]')
    await press(page, 'Make it')
    await see(page, 'Cover for Hut ledger')
    expect(page.url()).to.match(/\/covers\/[0-9a-f-]{36}\/measure$/)
  })

  it('puts a cover away, and finds it again there', async () => {
    await page.goto(site.address())
    await press(page, 'More for Handbook cover, too tight')
    await press(page, 'Put away: not shown on the shelf')
    await page.waitForFunction(async () => {
      const answer = (await (await fetch('/api/marks')).json()) as {
        items: readonly { mark: { archived: boolean } }[]
      }
      return answer.items.some(({ mark }) => mark.archived)
    })
    await until(12)
    expect(await names(page)).not.to.include('Handbook cover, too tight')
    await pressAt(page, '[role="search"] input[type="checkbox"]')
    await until(1)
    expect(await names(page)).to.deep.equal(['Handbook cover, too tight'])
  })

  it('holds two thousand covers with a few of them on the page, and scrolls to the last', async () => {
    const { repositories, workshop } = site.server()
    const [first] = (await repositories.covers.list(workshop, { limit: 1 })).items
    if (!first) throw new Error('The demo has covers')
    await repositories.covers.createAll(
      workshop,
      Array.from({ length: 2000 }, (_, index) => ({
        thingId: null,
        file: { ...first.file, name: `Field book ${index + 1}` },
      })),
    )
    await page.goto(site.address())
    await page.waitForSelector('[data-big-shelf]')
    await see(page, 'Field book 2000')
    const cards = () => page.$$eval('[data-big-shelf] h3, [data-big-shelf] a', links => links.length)
    expect(await cards()).to.be.below(80)
    await page.evaluate(() => scrollTo(0, document.body.scrollHeight / 2))
    await page.waitForFunction(() => !document.body.innerText.includes('Field book 2000'))
    expect(await cards()).to.be.below(80)
    await fill(page, 'Find on the shelf', 'book 1234')
    await until(1)
    await find(page, 'Field book 1234')
  })
})

describe('the fewest covers for what is measured', function () {
  this.timeout(240_000)
  let page: Page
  useSite(async site => {
    page = await site.visit('/series')
  })

  it('says how few serve, by every way of making, and begins one', async () => {
    await page.waitForSelector('[data-series]')
    await see(page, 'All ways of making are reckoned.')
    const ways = await page.$$eval('[data-series]', items =>
      items.map(
        item => [item.getAttribute('data-series'), Number(item.getAttribute('data-covers'))] as const,
      ),
    )
    expect(ways.length).to.be.above(3)
    expect(ways.every(([, covers]) => covers > 0)).to.equal(true)
    await pressAt(page, '[data-series] summary')
    await pressAt(page, '[data-series] details[open] li button')
    await page.waitForFunction(() => /\/covers\/[0-9a-f-]{36}\/fit$/.test(location.pathname))
  })
})
