import { gzipSync } from 'node:zlib'
import type { Stock } from '@snowdrift/core'
import type { Server } from '@snowdrift/server'
import type { Page } from 'puppeteer-core'
import { find, see } from '../e2e/testing/hands.js'
import { openSite, phone } from '../e2e/testing/site.js'
import { variedCover } from './covers.js'
import { quantile, report } from './measure.js'

/** What the shelf loads first, and how long a keystroke takes to the repainted picture, on a cover with all layers. */
export async function benchBrowser(): Promise<void> {
  const site = await openSite()
  try {
    const server = site.server()
    const { id } = await server.repositories.covers.create(server.workshop, {
      thingId: null,
      file: { ...variedCover(10), sizing: { mode: 'computed' } },
    })
    const page = await site.visit('/settings')
    await benchFirstLoad(page, site.address())
    await page.goto(`${site.address()}/covers/${id}/measure`)
    await find(page, 'Height')
    await benchKeystrokes(page, '')
    await photograph(page, server)
    await page.goto(`${site.address()}/covers/${id}/measure`)
    await page.waitForSelector('[data-picture="strip"] image')
    await find(page, 'Height')
    await benchKeystrokes(page, ', in photographs')
    // a page of its own: what was left over by 240 keys is swept up here otherwise
    await benchFitStation(await site.visit(`/covers/${id}/fit`))
    const small = await site.visit(`/covers/${id}/bench`, phone)
    await benchTable(small, `${site.address()}/covers/${id}/bench`)
  } finally {
    await site.close()
  }
}

/** Scripts that the shelf's page names itself; the other screens come later, when there is time. */
async function benchFirstLoad(page: Page, address: string): Promise<void> {
  const html = await (await fetch(address)).text()
  const scripts = [...html.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map(match => match[1] ?? '')
  const sizes = await Promise.all(
    scripts.map(
      async script => gzipSync(Buffer.from(await (await fetch(address + script)).arrayBuffer())).length,
    ),
  )
  report('script of the first load, gzip', sizes.reduce((sum, size) => sum + size, 0) / 1000, 'kB', 250)
  await page.goto(address)
  await see(page, 'Shelf')
}

/** From the key's own time stamp to the frame after the picture has changed. */
async function benchKeystrokes(page: Page, how: string): Promise<void> {
  await page.evaluate(() => {
    const samples: number[] = []
    Object.assign(window, { samples })
    addEventListener(
      'keydown',
      event => {
        if (!/^\d$/.test(event.key)) return
        const began = event.timeStamp
        requestAnimationFrame(() => {
          const channel = new MessageChannel()
          channel.port1.onmessage = () => samples.push(performance.now() - began)
          channel.port2.postMessage(0)
        })
      },
      true,
    )
  })
  const field = await find(page, 'Height')
  await field.click()
  const pictures = new Set<string>()
  for (let turn = 0; turn < 120; turn++) {
    await field.evaluate(element => (element as HTMLInputElement).setSelectionRange(2, 3))
    await page.keyboard.press(`Digit${(turn % 9) + 1}` as 'Digit1')
    pictures.add(await page.$eval('[data-picture="strip"] .mark-cut', path => path.getAttribute('d') ?? ''))
  }
  const samples = await page.evaluate(() => (window as unknown as { samples: number[] }).samples)
  if (pictures.size < 5) throw new Error('The picture did not follow the keys')
  const what = `keystroke to repainted picture${how}`
  report(`${what}, ${samples.length} keys, median`, quantile(samples, 0.5), 'ms', 50)
  report(`${what}, 95th percentile`, quantile(samples, 0.95), 'ms', 50)
}

/** Four fifths of the photograph are 200 mm. */
const readByMarks: NonNullable<Stock['photo']> = {
  picture: 1,
  ratio: 1,
  marks: [
    [0.1, 0.5],
    [0.9, 0.5],
  ],
  apart: '200 mm',
}

/** Gives every layer of a varied cover a photograph of its cloth, 250 mm across, as large as the stash keeps them. */
async function photograph(page: Page, { repositories, workshop }: Server): Promise<void> {
  for (const role of ['outer', 'lining', 'interfacing', 'padding'] as const) {
    const body = {
      ...{ unit: 'mm' as const, swatch: '#6b7f93', stock: {} },
      material: { role, name: role, thickness: '0.4 mm' },
    }
    const { id, version } = await repositories.materials.create(workshop, body)
    await page.evaluate(putPhotograph, `/api/materials/${id}/picture`)
    const written = await repositories.materials.update(workshop, id, version + 1, {
      ...body,
      stock: { photo: readByMarks },
    })
    if (written.kind !== 'written') throw new Error('The photograph of a cloth has no scale')
  }
}

/** Threads of many shades, as a camera sees them. */
async function putPhotograph(address: string): Promise<void> {
  const side = 800
  const canvas = new OffscreenCanvas(side, side)
  const brush = canvas.getContext('2d')
  const pixels = new ImageData(side, side)
  for (let at = 0; at < pixels.data.length; at += 4) {
    const shade = 90 + 100 * Math.random()
    pixels.data.set([shade, 0.9 * shade + 20 * Math.random(), 1.1 * shade, 255], at)
  }
  brush?.putImageData(pixels, 0, 0)
  const picture = await canvas.convertToBlob()
  const answer = await fetch(address, { method: 'PUT', body: picture })
  if (!answer.ok) throw new Error(`The photograph was refused: ${await answer.text()}`)
}

/** How long the chance takes after a change, and the longest task on the main thread meanwhile. */
async function benchFitStation(page: Page): Promise<void> {
  await see(page, 'What it hangs on')
  const thumb = await find(page, 'Ease round it')
  await thumb.focus()
  await page.evaluate(() => {
    const tasks: number[] = []
    Object.assign(window, { tasks })
    new PerformanceObserver(list => {
      tasks.push(...list.getEntries().map(({ duration }) => duration))
    }).observe({ type: 'longtask' })
  })
  const waits: number[] = []
  for (let turn = 0; turn < 20; turn++) {
    const began = performance.now()
    await page.keyboard.press(turn % 2 === 0 ? 'ArrowRight' : 'ArrowLeft')
    await page.waitForSelector('[aria-label="Chance of fitting"] progress')
    await page.waitForFunction(() => !document.querySelector('[aria-label="Chance of fitting"] progress'))
    waits.push(performance.now() - began)
  }
  const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks)
  report('chance and remedies reckoned again after a change, median', quantile(waits, 0.5), 'ms', 1500)
  report('longest task on the main thread meanwhile', Math.max(0, ...tasks), 'ms', 50)
}

/** The first paint of the bench from a warm cache, and how long a key takes to the next step that is drawn. */
async function benchTable(page: Page, address: string): Promise<void> {
  await page.waitForSelector('[data-step]')
  const paints: number[] = []
  for (let turn = 0; turn < 7; turn++) {
    const began = performance.now()
    await page.goto(address)
    await page.waitForSelector('[data-step]')
    paints.push(performance.now() - began)
  }
  report('first step at the table, phone, warm cache, median', quantile(paints, 0.5), 'ms', 1000)
  await page.evaluate(() => {
    const samples: number[] = []
    Object.assign(window, { samples })
    addEventListener(
      'keydown',
      event => {
        const began = event.timeStamp
        requestAnimationFrame(() => {
          const channel = new MessageChannel()
          channel.port1.onmessage = () => samples.push(performance.now() - began)
          channel.port2.postMessage(0)
        })
      },
      true,
    )
  })
  const stepOf = () => page.$eval('[data-step]', step => step.getAttribute('data-step'))
  for (let turn = 0; turn < 14; turn++) {
    const before = await stepOf()
    await page.keyboard.press('y')
    await page.waitForFunction(
      was => document.querySelector('[data-step]')?.getAttribute('data-step') !== was,
      {},
      before,
    )
  }
  const samples = await page.evaluate(() => (window as unknown as { samples: number[] }).samples)
  report('key to the next step at the table, median', quantile(samples, 0.5), 'ms', 50)
}
