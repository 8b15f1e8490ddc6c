import type { Fill } from '@snowdrift/core'

export type FillColours = Readonly<Record<Fill | 'ink' | 'thread' | 'ground', string>>

const fills: readonly Fill[] = [
  ...(['none', 'outside', 'inside', 'wrong-side', 'object', 'board', 'leaves', 'outer', 'lining'] as const),
  ...(['padding', 'interfacing', 'card', 'pocket', 'missing', 'page', 'other'] as const),
]

/** A book is as light in the dark as by day. */
const paper = { object: '#ece7dc', leaves: '#ded7c8' }

/** The colours of all drawings as the styles have them at the moment, light or dark. */
export function readFillColours(): FillColours {
  const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg')
  const path = document.createElementNS('http://www.w3.org/2000/svg', 'path')
  svg.setAttribute('class', 'drawing')
  svg.append(path)
  document.body.append(svg)
  const colourOf = (fill: Fill) => {
    path.setAttribute('class', `fill-${fill}`)
    return getComputedStyle(path).fill
  }
  const filled = Object.fromEntries(fills.map(fill => [fill, colourOf(fill)])) as Record<Fill, string>
  svg.remove()
  const root = getComputedStyle(document.documentElement)
  const named = (name: string) => root.getPropertyValue(name).trim()
  return {
    ...filled,
    ...paper,
    ink: named('--ink'),
    thread: named('--thread'),
    ground: named('--surface'),
  }
}
