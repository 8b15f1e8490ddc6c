import type { Cover } from '../file/cover.js'
import { scale, subtract, toMm, zero, type Length } from '../length/length.js'
import { largestReading } from '../object/reading.js'
import type { Plan } from '../plan/plan.js'
import type { Leaf, Place } from './leaf.js'
import { leafOf, type PanelLeaves } from './panel-leaves.js'

export interface ThingLeaf {
  readonly leaf: Leaf
  /** Where it comes from, seen from its place, in millimetres. */
  readonly from: Place
}

/** Beside the flap that it goes under, above the table. */
const overTable = 30

/**
 * The thing as it lies in the open cover: a book as its two boards, each on its side of the cover, and the block on the
 * one that lies on the table; anything else as one. Boards are pushed under the flaps, a device in from the mouth.
 */
export function thingLeaves(
  cover: Cover,
  { section, strip }: Plan,
  panels: PanelLeaves,
): readonly ThingLeaf[] {
  const root = panels.leaves.find(({ id }) => id === panels.root)
  if (!root) return []
  const { board, device } = section
  const { width, height, thickness } = thingSize(cover, { section, strip })
  const flap = toMm(section.flap?.depth ?? zero)
  const front = panels.leaves.find(({ id }) => id === leafOf('front'))
  const isBook = !device && board > zero && front !== undefined && root.id === leafOf('back')
  const low = (toMm(root.height) - toMm(height)) / 2
  const made = (part: Pick<Leaf, 'id' | 'name' | 'thickness'>, on: string, at: Place): Leaf => ({
    ...part,
    ...{
      width,
      height,
      inside: 'object',
      outside: 'object',
      stitches: [],
      at,
      joined: { kind: 'on', to: on },
    },
  })
  if (!isBook) {
    const at: Place = [Math.max(0, (toMm(root.width) - toMm(width)) / 2), low, toMm(thickness)]
    const whole = made({ id: 'thing', name: device ? 'the device' : 'the book', thickness }, root.id, at)
    const from: Place =
      front && root.id === leafOf('back') && device ? [0, toMm(height) + overTable, 0] : [0, 0, overTable * 3]
    return [{ leaf: whole, from }]
  }
  const block = subtract(thickness, scale(board, 2))
  const [thin, thick] = [toMm(board), toMm(block)]
  return [
    {
      leaf: made({ id: 'thing-back', name: 'back board', thickness: board }, root.id, [0, low, thin]),
      from: [-flap, 0, overTable],
    },
    {
      leaf: made({ id: 'thing-block', name: 'the book', thickness: block }, root.id, [0, low, thin + thick]),
      from: [-flap, 0, overTable],
    },
    {
      leaf: made({ id: 'thing-front', name: 'front board', thickness: board }, front.id, [
        Math.max(0, toMm(front.width) - toMm(width)),
        low,
        thin,
      ]),
      from: [flap, 0, overTable],
    },
  ]
}

/** As large as it was read; its section is across its height where the cover folds that way. */
export function thingSize(
  { object }: Pick<Cover, 'object'>,
  { section, strip }: Pick<Plan, 'section' | 'strip'>,
): { readonly width: Length; readonly height: Length; readonly thickness: Length } {
  const height = largestReading(object, 'height') ?? largestReading(object, 'pageHeight') ?? strip.height
  const isAcross = section.device && strip.panels.some(({ kind }) => kind === 'body')
  const width = isAcross ? (largestReading(object, 'width') ?? section.width) : section.width
  return { width, height, thickness: section.thickness }
}
