import { toMm, type Length } from '../length/length.js'
import type { PathMark } from './drawing.js'

/** Millimetres to two decimals: finer than any screen or printer draws. */
export function svgNumber(length: Length): string {
  return String(Math.round(toMm(length) * 100) / 100)
}

/** The `d` of an SVG path, in millimetres. */
export function svgPath({ start, steps, closed }: PathMark): string {
  const parts = steps.map(step => {
    const to = `${svgNumber(step.to[0])} ${svgNumber(step.to[1])}`
    if (!('radius' in step)) return `L${to}`
    const radius = svgNumber(step.radius)
    return `A${radius} ${radius} 0 0 ${step.clockwise ? 1 : 0} ${to}`
  })
  return `M${svgNumber(start[0])} ${svgNumber(start[1])}${parts.join('')}${closed ? 'Z' : ''}`
}
