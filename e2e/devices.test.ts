import { expect } from 'chai'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { ElementHandle, Page } from 'puppeteer-core'
import { addressOf, choose, fill, find, press, pressAt, see, valueOf } from './testing/hands.js'
import type { Site } from './testing/site.js'
import { useSite } from './testing/use-site.js'

describe('devices at the table', function () {
  this.timeout(180_000)
  let site: Site
  let page: Page
  let cover = ''
  let folder = ''
  useSite(async opened => {
    site = opened
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-devices-'))
    page = await site.visit('/')
    await see(page, 'Star atlas, padded')
    cover = await addressOf(page, 'Star atlas, padded')
    await page.goto(`${site.address()}/devices`)
    await see(page, 'Digital tape')
  })
  after(() => rm(folder, { recursive: true }))

  it('let a tape’s readings land where the cursor is, on any screen, and the cursor go on', async () => {
    await press(page, 'Connect the tape')
    await see(page, 'Connected. Put the cursor', '[aria-label="Digital tape"]')
    await pressAt(page, 'header a[href="/"]')
    await pressAt(page, `a[href="${cover}"]`)
    await (await find(page, 'Height')).focus()
    await fill(page, 'lies along', '11 1/2')
    await press(page, 'Press its button')
    await see(page, /Read 11 \d+\/\d+ in|Read 11 1\/2 in/, '[aria-label="Digital tape"]')
    // within a quarter of a millimetre of 11 1/2 in
    const typed = await valueOf(page, 'Height')
    const [, whole = '', top = '0', bottom = '1'] = /^(\d+)(?: (\d+)\/(\d+))? in$/.exec(typed) ?? []
    expect(Number(whole) + Number(top) / Number(bottom), typed).to.be.closeTo(11.5, 0.25 / 25.4 + 1 / 128)
    // it was read twice: the cursor is in the second of them
    expect(
      await page.evaluate(() => document.activeElement?.closest('[data-row]')?.getAttribute('data-row')),
    ).to.equal('1')
  })

  it('say what is wrong with a tape, and keep what was read', async () => {
    await pressAt(page, 'header a[href="/settings"]')
    await pressAt(page, 'a[href="/devices"]')
    await press(page, 'shaking')
    await (await find(page, 'Try it here')).focus()
    for (let tries = 0; tries < 5; tries++) await press(page, 'Press its button')
    await see(page, /The tape moved by|Read/, '[aria-label="Digital tape"]')
    await press(page, 'low')
    await see(page, 'battery is at 12 %', '[aria-label="Digital tape"]')
    await press(page, 'Take it out of reach')
    await see(page, 'The tape is out of reach', '[aria-label="Digital tape"]')
    await press(page, 'empty')
    await press(page, 'Connect again')
    await see(page, 'its battery is empty', '[aria-label="Digital tape"]')
    await press(page, 'Put the tape away')
  })

  it('take a tape that types like a keyboard as it is', async () => {
    await page.goto(`${site.address()}/new`)
    await fill(page, 'What do you call it?', 'Typed by a tape')
    await press(page, 'Measure it')
    await (await find(page, 'Height')).focus()
    await page.keyboard.type('8 3/4')
    await page.keyboard.press('Enter')
    await page.keyboard.type('6 1/2 in')
    await page.keyboard.press('Enter')
    expect([await valueOf(page, 'Height'), await valueOf(page, 'Wrap')]).to.deep.equal(['8 3/4', '6 1/2 in'])
    await page.goto(`${site.address()}/devices`)
  })

  const run = '[data-cut-run]'
  const strokes = async (format: string) => {
    await press(page, format)
    await press(page, 'Send the outlines')
    await see(page, /of strokes in/, run)
    const text = await page.$eval(run, element => (element as HTMLElement).innerText)
    return /^(.*) of strokes/m.exec(text.replaceAll('\u2044', '/'))?.[1]
  }

  it('send a machine the same strokes as SVG, DXF and HPGL, and show what it lacks', async () => {
    await choose(page, 'Its bed', '1500')
    const [svg, dxf, hpgl] = [await strokes('SVG'), await strokes('DXF'), await strokes('HPGL')]
    expect(svg).to.match(/\d in$/)
    expect([dxf, hpgl]).to.deep.equal([svg, svg])
    await see(page, 'No tool for stitch', run)
    await press(page, 'a pricking wheel')
    await see(page, 'All of it is cut.', run)
    await choose(page, 'Its bed', '305')
    await see(page, /reaches .* over the bed/, run)
    await choose(page, 'Its bed', '1500')
    await press(page, 'the connection breaks half-way')
    await see(page, 'The connection broke', run)
    await press(page, 'the connection breaks half-way')
  })

  it('run nothing that a file brings, and refuse what is none', async () => {
    const give = async (name: string, text: string) => {
      await writeFile(join(folder, name), text)
      const input = await page.waitForSelector('input[aria-label="File for the machine"]')
      await (input as ElementHandle<HTMLInputElement>).uploadFile(join(folder, name))
    }
    await give(
      'trap.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="50mm" viewBox="0 0 100 50" onload="document.title=\'ran\'"><script>document.title="ran"</script><g id="cut"><path d="M0 0L100 0"/></g><image href="x"/></svg>',
    )
    await see(page, 'Not followed: 1 × script, 1 × image.', run)
    await see(page, /^3 7\/8 in of strokes|^4 in of strokes/, run)
    expect(await page.title()).not.to.contain('ran')
    // 25.4 mm, twice as long, turned and moved along
    await give(
      'moved.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100"><g id="cut" transform="translate(20, 10) rotate(90)"><path transform="scale(2)" d="M0 0L25.4 0"/><path transform="sideways" d="M0 0L9 0"/></g></svg>',
    )
    await see(page, /^2 in of strokes/, run)
    await see(page, 'Not followed: 1 × path that is moved in a way nobody can read.', run)
    await give('other.svg', '%PDF-1.7')
    await see(page, 'Expected SVG, DXF or HPGL')
    await give('cut.svg', '<svg xmlns="http://www.w3.org/2000/svg" width="100mm"')
    await see(page, 'cut short or damaged')
  })

  it('print a label for each piece, until the roll is empty', async () => {
    await press(page, 'Print a label for each piece')
    await see(page, /(\d+) of \1 labels of 2 7\/16 in × 1 9\/16 in came out/, '[data-print-run]')
    const first = await page.waitForSelector('[aria-label="Labels that came out"] img')
    const label = await first?.evaluate(async image => {
      await image.decode()
      const { naturalWidth: width, naturalHeight: height } = image
      const pen = new OffscreenCanvas(width, height).getContext('2d')
      pen?.drawImage(image, 0, 0)
      const dots = pen?.getImageData(0, 0, width, height).data.filter((_, at) => at % 4 === 0) ?? []
      return { width, height, words: image.alt, shades: [...new Set(dots)] }
    })
    // 62 × 40 mm of 8 dots each, burnt or not
    expect([label?.width, label?.height]).to.deep.equal([496, 320])
    expect(label?.shades.toSorted()).to.deep.equal([0, 255])
    expect(label?.words).to.match(/^outer; 7 1⁄2 in × 9 3⁄4 in; /)
    await choose(page, 'Labels left on it', '2')
    await press(page, 'Print a label for each piece')
    await see(page, 'The roll is empty after 2', '[data-print-run]')
    await choose(page, 'Its roll is wide', '50')
    await press(page, 'Print a label for each piece')
    await see(page, 'Put in a wider roll', '[data-print-run]')
  })
})
