import { placePanels, type Panel, type PlacedPanel, type Strip } from '../../families/strip.js'
import { add, longest, mm, scale, shortest, subtract, zero, type Length } from '../../length/length.js'
import type { Plan } from '../../plan/plan.js'
import { line, rectangle, text, type Drawing, type Mark } from '../drawing.js'
import { drawPlaces } from './places.js'
import type { Naming } from './template.js'

/** What is printed beside the pieces: the templates that holes are punched or pricked by, and the strip that boards are set by. */
export function drawAids({ strip }: Plan, { say }: Pick<Naming, 'say'>): readonly Drawing[] {
  const panels = placePanels(strip.panels)
  const gap = panels.find(({ kind }) => kind === 'gap')
  return [
    ...panels.flatMap(panel => (panel.kind === 'spine' ? spineHoles : edgeHoles)(strip, panel)),
    ...(gap ? [gapStrip(strip, gap, say(gap.width))] : []),
  ]
}

/** The spine with its holes, and its middle both ways; none where it has no holes. */
function spineHoles(strip: Strip, { name, x, width }: PlacedPanel): readonly Drawing[] {
  const places = placesOn(strip, x, width)
  if (places.length === 0) return []
  const middle = scale(width, 1 / 2)
  return [punching(name, width, strip, [...places, line([middle, zero], [middle, strip.height], 'hint')])]
}

/** The edge of a panel that holes are punched beside, as far in again as they are; none where nothing is punched. */
function edgeHoles(strip: Strip, { name, x, width }: PlacedPanel): readonly Drawing[] {
  const distances = strip.holes.flatMap(({ at, punched }) => {
    const fromLeft = subtract(at[0], x)
    return punched && fromLeft > zero && fromLeft < width ? [fromLeft] : []
  })
  const [first] = distances
  if (first === undefined) return []
  const isLeft = first < scale(width, 1 / 2)
  const inwards = distances.map(distance => (isLeft ? distance : subtract(width, distance)))
  const wide = shortest(width, longest(mm(25), scale(longest(zero, ...inwards), 2)))
  return [punching(name, wide, strip, placesOn(strip, isLeft ? x : subtract(add(x, width), wide), wide))]
}

function placesOn(strip: Strip, x: Length, width: Length): readonly Mark[] {
  const area = { piece: 'outer', at: [x, zero], width, height: strip.height } as const
  return drawPlaces(strip, { area, isBehind: false })
}

function punching(name: string, width: Length, strip: Strip, marks: readonly Mark[]): Drawing {
  const half = scale(strip.height, 1 / 2)
  return framed(`punching template, ${name}`, width, strip, [
    ...marks,
    line([zero, half], [width, half], 'hint'),
  ])
}

/** As wide as the gap between board and spine: laid between them while they are glued. */
function gapStrip(strip: Strip, { width }: Panel, words: string): Drawing {
  return framed(`gap strip, ${words} wide`, width, strip, [])
}

/** As high as the strip, its name along it. */
function framed(title: string, width: Panel['width'], { height }: Strip, marks: readonly Mark[]): Drawing {
  const beside = add(width, mm(6))
  return {
    title,
    from: [zero, zero],
    width: add(beside, mm(2)),
    height,
    marks: [
      rectangle([zero, zero], width, height, { style: 'cut' }),
      ...marks,
      text([beside, scale(height, 1 / 2)], title, { turned: true, size: 'small' }),
    ],
  }
}
