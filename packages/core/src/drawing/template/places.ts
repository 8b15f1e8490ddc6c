import type { Strip, StripHole } from '../../families/strip.js'
import { add, mm, scale, subtract, zero } from '../../length/length.js'
import { line, type Mark, type Point } from '../drawing.js'
import { drawHoles } from '../strip-shapes.js'
import { onPiece, type Lying } from './lying.js'

/** What is punched as the hole that it is; where a button or a snap sits, or a needle goes through, as a cross. */
export function drawPlaces(strip: Strip, lying: Lying): readonly Mark[] {
  const { width, height } = lying.area
  const holes = strip.holes
    .map(hole => ({ ...hole, at: onPiece(hole.at, lying) }))
    .filter(({ at: [x, y] }) => x > zero && y > zero && x < width && y < height)
  return [
    ...drawHoles({ ...strip, holes: holes.filter(({ punched }) => punched) }),
    ...holes.filter(({ punched }) => !punched).flatMap(cross),
  ]
}

function cross({ at: [x, y], diameter }: StripHole): readonly Mark[] {
  const arm = add(scale(diameter, 1 / 2), mm(1))
  const ends = (dx: number, dy: number): readonly [Point, Point] => [
    [subtract(x, scale(arm, dx)), subtract(y, scale(arm, dy))],
    [add(x, scale(arm, dx)), add(y, scale(arm, dy))],
  ]
  return [line(...ends(1, 0), 'hint'), line(...ends(0, 1), 'hint')]
}
