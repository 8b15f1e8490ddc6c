import { placePanels, type Panel, type Strip } from '../../families/strip.js'
import { add, mm, scale, zero, type Length } from '../../length/length.js'
import type { Plan } from '../../plan/plan.js'
import { line, rectangle, text, type Drawing, type Mark } from '../drawing.js'
import { drawPlaces } from './places.js'
import type { Naming } from './template.js'

/** What is printed beside the pieces: the template that holes are punched or pricked by, and the strip that boards are set by. */
export function drawAids({ strip }: Plan, { say }: Pick<Naming, 'say'>): readonly Drawing[] {
  const panels = placePanels(strip.panels)
  const spine = panels.find(({ kind }) => kind === 'spine')
  const gap = panels.find(({ kind }) => kind === 'gap')
  return [
    ...(spine ? holeTemplate(strip, spine) : []),
    ...(gap ? [gapStrip(strip, gap, say(gap.width))] : []),
  ]
}

/** The spine with its holes, and its middle both ways; none where it has no holes. */
function holeTemplate(strip: Strip, { x, width }: Panel & { readonly x: Length }): readonly Drawing[] {
  const area = { piece: 'spine', at: [x, zero], width, height: strip.height } as const
  const places = drawPlaces(strip, { area, isBehind: false })
  if (places.length === 0) return []
  const [middle, half] = [scale(width, 1 / 2), scale(strip.height, 1 / 2)]
  return [
    framed('punching template, spine', width, strip, [
      ...places,
      line([middle, zero], [middle, strip.height], 'hint'),
      line([zero, half], [width, half], 'hint'),
    ]),
  ]
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
