import { getDocument, GlobalWorkerOptions } from 'pdfjs-dist'
import worker from 'pdfjs-dist/build/pdf.worker.min.mjs?url'

GlobalWorkerOptions.workerSrc = worker

/** A label as it left the printer, and what is read on it. */
export interface BurntLabel {
  /** A picture, a pixel a dot. */
  readonly picture: string
  readonly words: string
}

const dotsPerMm = 8
const pointsPerMm = 72 / 25.4
/** A dot is burnt or it is not: what is darker than this is. */
const darkest = 150

/** The first so many labels as a thermal head burns them: eight dots to the millimetre, black on white. */
export async function burnLabels(pdf: Uint8Array, count: number): Promise<readonly BurntLabel[]> {
  // Letters are drawn as outlines: no font of a file comes near the page. What is handed over is gone.
  const reading = getDocument({ data: pdf.slice(), disableFontFace: true, isEvalSupported: false })
  const document = await reading.promise
  const labels: BurntLabel[] = []
  for (let number = 1; number <= Math.min(count, document.numPages); number++) {
    const page = await document.getPage(number)
    const viewport = page.getViewport({ scale: dotsPerMm / pointsPerMm })
    const canvas = Object.assign(window.document.createElement('canvas'), {
      width: Math.round(viewport.width),
      height: Math.round(viewport.height),
    })
    await page.render({ canvas, viewport, background: 'white' }).promise
    burn(canvas)
    const { items } = await page.getTextContent()
    const words = items.flatMap(item => ('str' in item && item.str.trim() ? [item.str.trim()] : []))
    labels.push({ picture: canvas.toDataURL('image/png'), words: words.join('; ') })
  }
  await reading.destroy()
  return labels
}

function burn(canvas: HTMLCanvasElement): void {
  const pen = canvas.getContext('2d')
  if (!pen) throw new Error('This browser draws no pictures')
  const image = pen.getImageData(0, 0, canvas.width, canvas.height)
  for (let at = 0; at < image.data.length; at += 4) {
    const [red = 0, green = 0, blue = 0] = image.data.subarray(at, at + 3)
    image.data.fill(0.3 * red + 0.59 * green + 0.11 * blue < darkest ? 0 : 255, at, at + 3)
  }
  pen.putImageData(image, 0, 0)
}
