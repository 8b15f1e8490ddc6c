import { readdir, readFile } from 'node:fs/promises'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from 'chai'
import type { Page } from 'puppeteer-core'
import { choose, fill, find, press, pressAt, see } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { wordsOf } from '../packages/paper/src/testing/poppler.js'
import { useSite } from './testing/use-site.js'

describe('planning time', function () {
  this.timeout(240_000)
  let site: Site
  let page: Page
  useSite(async opened => {
    site = opened
    page = await site.visit('/time')
    await see(page, 'All in time')
  })

  const sessions = () =>
    page.$$eval('[data-session]', cards => cards.map(card => Number(card.getAttribute('data-session'))))

  it('finds the covers of the demo their evenings, and says what the order saves', async () => {
    const saved = Number(await page.$eval('[data-saved]', said => said.getAttribute('data-saved')))
    expect(saved).to.be.above(10)
    const starts = await sessions()
    expect(starts.length).to.be.above(2)
    expect(starts).to.deep.equal([...starts].sort((one, other) => one - other))
    await see(page, 'Begin at the latest')
    await see(page, /steps, one by one/)
  })

  it('says what slips where a session is missed', async () => {
    await pressAt(page, '[data-session] button[aria-pressed]')
    await see(page, /later|Nothing slips/, '[data-without]')
    await pressAt(page, '[data-session] button[aria-pressed="true"]')
    await page.waitForSelector('[data-without]', { hidden: true })
  })

  it('puts a session’s work off, and lets the rest flow', async () => {
    const [first] = await sessions()
    const named = await page.$eval('[data-session] button[aria-label^="Put "]', button => ({
      label: button.getAttribute('aria-label') ?? '',
      chip: button.parentElement?.textContent ?? '',
    }))
    const name = /^Put (.*) off from/.exec(named.label)?.[1] ?? ''
    await press(page, named.label)
    await page.waitForFunction(
      (start, cover) => {
        const card = document.querySelector(`[data-session="${start}"]`)
        return ![...(card?.querySelectorAll('button[aria-label^="Put "]') ?? [])].some(button =>
          button.getAttribute('aria-label')?.startsWith(`Put ${cover} off`),
        )
      },
      {},
      first,
      name,
    )
    await press(page, 'Let what was put off flow again')
    await page.waitForFunction(
      (start, cover) =>
        [...document.querySelectorAll(`[data-session="${start}"] button[aria-label^="Put "]`)].some(button =>
          button.getAttribute('aria-label')?.startsWith(`Put ${cover} off`),
        ),
      {},
      first,
      name,
    )
  })

  it('refuses hours that are none as they are typed, and plans by those that are', async () => {
    await fill(page, 'When you work', 'Tue 21:00–19:00')
    await see(page, 'it ends before it begins')
    await fill(page, 'When you work', 'Tue 19:00–21:00, Tue 20:00–22:00')
    await see(page, 'Two sessions on tue overlap')
    // Not on the day it is, nor the next: a session that has begun already would start later.
    const days = await page.evaluate(() =>
      [2, 4, 6].map(days => {
        const then = new Date()
        then.setDate(then.getDate() + days)
        return then.toLocaleDateString('en', { weekday: 'long' })
      }),
    )
    await fill(page, 'When you work', days.map(day => `${day.slice(0, 3)} 18:00–22:00`).join(', '))
    await see(page, new RegExp(`(${days.join('|')}) \\d+ \\w+, 18:0\\d`), '[data-session]')
    await fill(page, 'Days that are not as usual', '2026-13-40 off')
    await see(page, 'does not begin with a day')
    await fill(page, 'Days that are not as usual', ' ')
  })

  it('says late covers first, with what would help, and asks about a day that is over', async () => {
    const day = new Date(Date.now() - 3 * 86_400_000).toISOString().slice(0, 10)
    const date = await find(page, 'Star atlas, padded: wanted by')
    await date.evaluate((input, value) => {
      ;(input as HTMLInputElement).focus()
      ;(input as HTMLInputElement).value = value
      ;(input as HTMLInputElement).blur()
    }, day)
    await see(page, 'That day is over')
    await see(page, /Star atlas, padded is \d+ (days|h) late/, '[data-late]')
    await see(page, 'one session more', '[data-helps]')
  })

  it('gives the calendar one event a session, of the same name each time', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'snowdrift-ics-'))
    const client = await page.createCDPSession()
    await client.send('Page.setDownloadBehavior', { behavior: 'allow', downloadPath: folder })
    // what stands above it grows and shrinks while better plans are found
    await see(page, 'Nothing better was found.')
    const count = (await sessions()).length
    await press(page, 'Into my calendar')
    let ics = ''
    for (let look = 0; look < 200 && !ics.includes('END:VCALENDAR'); look += 1) {
      const [file] = (await readdir(folder)).filter(name => name.endsWith('.ics'))
      if (file) ics = await readFile(join(folder, file), 'utf8')
      else await page.evaluate(() => new Promise(resolve => setTimeout(resolve, 50)))
    }
    const uids = [...ics.matchAll(/^UID:(.*)$/gm)].map(([, uid]) => uid)
    expect(uids).to.have.length(count)
    expect(new Set(uids).size).to.equal(count)
    expect(ics).to.match(/DTSTART:\d{8}T180000\r?\n/)
  })

  it('prints the sheets of all that is planned in one go, and stops where that is wanted', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'snowdrift-sheets-'))
    const session = await page.createCDPSession()
    await session.send('Page.setDownloadBehavior', { behavior: 'allow', downloadPath: folder })
    await press(page, 'All their sheets')
    await page.waitForSelector('progress[aria-label="Writing the sheets"]')
    await press(page, 'Stop')
    await page.waitForSelector('progress[aria-label="Writing the sheets"]', { hidden: true })
    await press(page, 'All their sheets')
    await see(page, 'among your downloads')
    while (!(await readdir(folder)).includes('project-sheets.pdf'))
      await page.evaluate(() => new Promise(resolve => setTimeout(resolve, 50)))
    const text = wordsOf(await readFile(join(folder, 'project-sheets.pdf')))
    const planned = await page.$$eval('[data-planned] a', links => links.map(link => link.textContent))
    expect(planned.length).to.be.above(1)
    for (const cover of planned) expect(text).to.contain(cover)
  })

  it('takes a cover in and out of the plan', async () => {
    const id = await page.$eval('select option:nth-child(2)', option => option.value)
    await choose(page, 'Take a cover into the plan', id)
    await page.waitForSelector(`[data-planned="${id}"]`)
    await pressAt(page, `[data-planned="${id}"] button[aria-label^="Take "]`)
    await page.waitForSelector(`[data-planned="${id}"]`, { hidden: true })
  })
})
