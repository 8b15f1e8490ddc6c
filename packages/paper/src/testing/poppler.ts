import { spawnSync } from 'node:child_process'

/** Reads a PDF back with another program than wrote it. */
function poppler(command: string, args: readonly string[], bytes: Uint8Array): string {
  const { status, stdout, stderr, error } = spawnSync(command, [...args], {
    input: bytes,
    maxBuffer: 64 * 1024 * 1024,
  })
  if (error) throw error
  if (status !== 0) throw new Error(`${command}: ${stderr.toString()}`)
  return stdout.toString()
}

export function wordsOf(bytes: Uint8Array): string {
  return poppler('pdftotext', ['-layout', '-', '-'], bytes)
}

/** What `pdffonts` says of each font, a line each. */
export function fontsOf(bytes: Uint8Array): readonly string[] {
  return poppler('pdffonts', ['-'], bytes).trim().split('\n').slice(2)
}

export interface Info {
  readonly pages: number
  /** In millimetres. */
  readonly width: number
  readonly height: number
}

export function infoOf(bytes: Uint8Array): Info {
  const said = poppler('pdfinfo', ['-'], bytes)
  const [, width = '0', height = '0'] = /Page size:\s+([\d.]+) x ([\d.]+) pts/.exec(said) ?? []
  return {
    pages: Number(/Pages:\s+(\d+)/.exec(said)?.[1]),
    width: Number(width) / perMm,
    height: Number(height) / perMm,
  }
}

const perMm = 72 / 25.4

/** A stroked line as it lies on its page: its corners in millimetres from the upper left. */
export interface Stroke {
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
}

export function strokesOf(bytes: Uint8Array, page: number): readonly Stroke[] {
  const svg = poppler(
    'pdftocairo',
    ['-svg', '-noshrink', '-nocenter', '-f', String(page), '-l', String(page), '-', '-'],
    bytes,
  )
  return [
    ...svg.matchAll(/<path style="fill:none;[^"]*" d="([^"]*)"(?: transform="matrix\(([^)]*)\)")?/g),
  ].map(([, path = '', matrix = '1,0,0,1,0,0']) => {
    const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = matrix.split(',').map(Number)
    const numbers = path
      .split(/[^\d.-]+/)
      .filter(text => text !== '')
      .map(Number)
    const places = Array.from({ length: numbers.length / 2 }, (_, index) => {
      const [x = 0, y = 0] = [numbers[2 * index], numbers[2 * index + 1]]
      return [(a * x + c * y + e) / perMm, (b * x + d * y + f) / perMm] as const
    })
    const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)]
    const [left, top] = [Math.min(...xs), Math.min(...ys)]
    return { left, top, width: Math.max(...xs) - left, height: Math.max(...ys) - top }
  })
}
