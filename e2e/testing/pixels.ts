import type { ElementHandle, Page } from 'puppeteer-core'

interface Row {
  /** Redness less blueness of each pixel from left to right. */
  readonly tones: readonly number[]
}

/** One row of what is really painted, half way down an element, between two shares of its width. */
export async function paintedRow(
  page: Page,
  element: ElementHandle,
  { from, to, down = 0.5 }: { readonly from: number; readonly to: number; readonly down?: number },
): Promise<Row> {
  const box = await element.boundingBox()
  if (!box) throw new Error('The element is not on the screen')
  const clip = {
    x: box.x + from * box.width,
    y: Math.round(box.y + down * box.height),
    width: (to - from) * box.width,
    height: 1,
  }
  const shot = await page.screenshot({ clip, encoding: 'base64' })
  // Looked at on a page without a content policy of its own.
  const table = await page.browser().newPage()
  try {
    const tones = await table.evaluate(async (png: string) => {
      const picture = await createImageBitmap(await (await fetch(`data:image/png;base64,${png}`)).blob())
      const canvas = new OffscreenCanvas(picture.width, 1)
      const pen = canvas.getContext('2d')
      pen?.drawImage(picture, 0, 0)
      const { data } = pen?.getImageData(0, 0, picture.width, 1) ?? { data: new Uint8ClampedArray() }
      return Array.from({ length: picture.width }, (_, x) => (data[4 * x] ?? 0) - (data[4 * x + 2] ?? 0))
    }, shot)
    return { tones }
  } finally {
    await table.close()
    await page.bringToFront()
  }
}

/** How many pixels apart stripes are: from where the first begins to where the last does, over their number. */
export function pixelsApart({ tones }: Row): { readonly pixels: number; readonly stripes: number } {
  const middle = (Math.max(...tones) + Math.min(...tones)) / 2
  const begins = tones.flatMap((tone, x) => {
    const before = tones[x - 1]
    if (before === undefined || before >= middle || tone < middle) return []
    return [x - 1 + (middle - before) / (tone - before)]
  })
  const [first, last] = [begins.at(0), begins.at(-1)]
  if (first === undefined || last === undefined || begins.length < 3)
    throw new Error(`Only ${begins.length} stripes are seen`)
  return { pixels: (last - first) / (begins.length - 1), stripes: begins.length }
}
