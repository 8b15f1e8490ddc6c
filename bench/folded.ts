import { gzipSync } from 'node:zlib'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { addressOf, find, see } from '../e2e/testing/hands.js'
import { openSite, roundFlags } from '../e2e/testing/site.js'
import { quantile, report } from './measure.js'

const assets = join(import.meta.dirname, '../packages/web/dist/assets')

/** The folded picture: how heavy what is fetched for it is, and how smoothly it plays where no graphics card helps. */
export async function benchFolded(): Promise<void> {
  const chunk = readdirSync(assets).find(name => name.startsWith('InTheRound') && name.endsWith('.js'))
  if (!chunk) throw new Error('The folded picture has no chunk of its own')
  report(
    'folded picture, its own chunk, gzip',
    gzipSync(readFileSync(join(assets, chunk))).length / 1000,
    'kB',
    300,
  )
  const site = await openSite({ flags: roundFlags })
  try {
    // a picture of about 800 by 600
    const page = await site.visit('/', { width: 1180, height: 820 })
    await see(page, 'Star atlas, padded')
    await page.goto(`${site.address()}${await addressOf(page, 'Star atlas, padded')}/folded`)
    await page.waitForSelector('[data-picture="folded"] canvas')
    const rates: number[] = []
    for (let turn = 0; turn < 3; turn++) {
      await (await find(page, 'Play')).click()
      rates.push(
        await page.evaluate(async () => {
          const began = performance.now()
          let frames = 0
          while (performance.now() - began < 8000) {
            await new Promise(requestAnimationFrame)
            frames++
          }
          return frames / 8
        }),
      )
      await page.waitForSelector('::-p-aria([name="Play"])')
    }
    // what is too slow is above its bound, as everywhere: a frame’s time
    report(
      'folded picture, reckoned without a card, median frame',
      1000 / quantile(rates, 0.5),
      'ms',
      1000 / 30,
    )
  } finally {
    await site.close()
  }
}
