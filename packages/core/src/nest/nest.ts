import type { Layout } from './layout.js'
import { nesting } from './nesting.js'
import type { LayoutRequest } from './request.js'

/** A layout as good as it gets within the request’s budget. `now` tells milliseconds. */
export function nest(request: LayoutRequest, now: () => number): Layout {
  const end = now() + request.budgetMs
  let best: Layout | undefined
  for (const better of nesting(request)) {
    if (better) best = better
    if (best && now() >= end) break
  }
  if (!best) throw new Error('The search ended without any layout')
  return best
}
