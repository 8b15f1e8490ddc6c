import { createRequire } from 'node:module'
import binPack from 'bin-pack'
import { packer } from 'guillotine-packer'
import potpack from 'potpack'
import type { Instance } from './instances.js'

// Its module form does not load in Node by its name.
const { MaxRectsPacker } = createRequire(import.meta.url)(
  'maxrects-packer',
) as typeof import('maxrects-packer')

/** What a packer of the registry makes of an instance: a strip so wide, so long. */
export interface RivalResult {
  readonly name: string
  readonly width: number
  readonly length: number
}

/** Two of them pack into a width, for the length is raised until all goes in; two choose their own width. */
export function packByRivals(instance: Instance, turn: boolean): readonly RivalResult[] {
  return [
    {
      name: 'maxrects-packer',
      width: instance.width,
      length: raise(instance, length => fitsMaxRects(instance, length, turn)),
    },
    {
      name: 'guillotine-packer',
      width: instance.width,
      length: raise(instance, length => fitsGuillotine(instance, length, turn)),
    },
    { name: 'bin-pack', ...ofBinPack(instance) },
    { name: 'potpack', ...ofPotpack(instance) },
  ]
}

/** The first length, from the least that the area allows on in half percents, within which everything goes. */
function raise({ pieces, width }: Instance, fits: (length: number) => boolean): number {
  const least = pieces.reduce((sum, piece) => sum + piece.width * piece.height, 0) / width
  for (let length = Math.ceil(least); ; length = Math.max(length + 1, Math.ceil(length * 1.005)))
    if (fits(length)) return length
}

function fitsMaxRects({ pieces, width }: Instance, length: number, turn: boolean): boolean {
  const options = { smart: false, pot: false, square: false, allowRotation: turn, border: 0 }
  const bins = new MaxRectsPacker(width, length, 0, options)
  bins.addArray(pieces.map(piece => ({ ...piece, x: 0, y: 0 })) as never)
  return bins.bins.length === 1 && bins.bins.every(bin => bin.width <= width && bin.height <= length)
}

function fitsGuillotine({ pieces, width }: Instance, length: number, turn: boolean): boolean {
  if (pieces.some(piece => piece.height > length && !(turn && piece.width <= length))) return false
  const items = pieces.map((piece, index) => ({ ...piece, name: String(index) }))
  try {
    return (
      packer({ binWidth: width, binHeight: length, items }, { allowRotation: turn, kerfSize: 0 })?.length ===
      1
    )
  } catch {
    return false
  }
}

function ofBinPack({ pieces }: Instance) {
  const { width, height } = binPack(pieces.map(piece => ({ ...piece })))
  return { width, length: height }
}

function ofPotpack({ pieces }: Instance) {
  const { w, h } = potpack(pieces.map(({ width, height }) => ({ w: width, h: height })))
  return { width: w, length: h }
}
