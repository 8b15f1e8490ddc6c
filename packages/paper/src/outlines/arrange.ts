import { add, longest, mm, zero, type Drawing, type Length, type Mark, type Point } from '@snowdrift/core'

/** Between any two drawings, and to the edge. */
const apart = mm(10)

/** Drawings side by side in rows no wider than the widest of them or a metre; each keeps its scale. */
export function arrange(title: string, drawings: readonly Drawing[]): Drawing {
  const room = longest(mm(1000), ...drawings.map(({ width }) => width))
  const marks: Mark[] = []
  let [x, y, rowHeight, right]: [Length, Length, Length, Length] = [apart, apart, zero, zero]
  for (const drawing of drawings) {
    if (x > apart && add(x, drawing.width) > room) [x, y, rowHeight] = [apart, add(y, rowHeight, apart), zero]
    marks.push(...drawing.marks.map(mark => moved(mark, [x, y])))
    x = add(x, drawing.width, apart)
    right = longest(right, x)
    rowHeight = longest(rowHeight, drawing.height)
  }
  return { title, from: [zero, zero], width: right, height: add(y, rowHeight, apart), marks }
}

/** The mark so far to the right and down. */
export function moved(mark: Mark, [right, down]: Point): Mark {
  const to = ([x, y]: Point): Point => [add(x, right), add(y, down)]
  switch (mark.kind) {
    case 'line':
      return { ...mark, from: to(mark.from), to: to(mark.to) }
    case 'text':
      return { ...mark, at: to(mark.at) }
    case 'path':
      return { ...mark, start: to(mark.start), steps: mark.steps.map(step => ({ ...step, to: to(step.to) })) }
  }
}
