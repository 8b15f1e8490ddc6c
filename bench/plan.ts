import { plan, readCover } from '@snowdrift/core'
import { variedCover } from './covers.js'
import { quantile, report } from './measure.js'

const runs = 5

/** plan() over 1,000 varied covers: the middle of five runs, after as many to warm up. */
export function benchPlan(): void {
  const covers = Array.from({ length: 1000 }, (_, n) => {
    const read = readCover(variedCover(n))
    if (!read.ok) throw new Error(JSON.stringify(read.issues))
    return read.value
  })
  const timeAll = () =>
    covers.map(cover => {
      const began = performance.now()
      plan(cover)
      return performance.now() - began
    })
  const passes = Array.from({ length: 2 * runs }, timeAll).slice(runs)
  const middle = (q: number) =>
    quantile(
      passes.map(samples => quantile(samples, q)),
      0.5,
    )
  report('plan(), 1,000 varied covers, median', middle(0.5), 'ms', 0.3)
  report('plan(), 1,000 varied covers, 99th percentile', middle(0.99), 'ms', 2)
}
