import { plan, readCover } from '@snowdrift/core'
import { variedCover } from './covers.js'
import { quantile, report } from './measure.js'

/** plan() over 1,000 varied covers, after a warm-up. */
export async function benchPlan(): Promise<void> {
  const covers = Array.from({ length: 1000 }, (_, n) => {
    const read = readCover(variedCover(n))
    if (!read.ok) throw new Error(JSON.stringify(read.issues))
    return read.value
  })
  for (const cover of covers) plan(cover)
  const samples = covers.map(cover => {
    const began = performance.now()
    plan(cover)
    return performance.now() - began
  })
  report('plan(), 1,000 varied covers, median', quantile(samples, 0.5), 'ms', 0.3)
  report('plan(), 1,000 varied covers, 99th percentile', quantile(samples, 0.99), 'ms', 2)
  await Promise.resolve()
}
