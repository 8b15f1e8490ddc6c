import type { Cover } from '../file/cover.js'
import { planSeries } from './series/series.js'

/**
 * The fewest covers of an adjustable kind that serve all of the things, each with the free end that serves the most, each
 * cover as the list of things it serves (counted from 0); things that not even a cover of their own serves stand alone.
 */
export function fewestCovers(cover: Cover): readonly (readonly number[])[] {
  const { covers, left } = planSeries(cover, cover.objects)
  return [
    ...covers.map(({ things }) => things.toSorted((one, other) => one - other)),
    ...left.map(thing => [thing]),
  ]
}
