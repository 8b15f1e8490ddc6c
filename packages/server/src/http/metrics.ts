import cluster from 'node:cluster'
import { Hono } from 'hono'
import { AggregatorRegistry, collectDefaultMetrics, Counter, Histogram, Registry } from 'prom-client'
import type { Answered } from './answered.js'

export interface Metrics {
  readonly observe: (answered: Answered) => void
  /** The page that is read off: everything at `/metrics`, in the format of Prometheus. */
  readonly page: Hono
}

/** Counts and times of what is answered, and how the process itself is. */
export function createMetrics(): Metrics {
  const register = new Registry()
  if (cluster.isWorker) handToFirst(register)
  collectDefaultMetrics({ register })
  const labelNames = ['method', 'route', 'status'] as const
  const requests = new Counter({
    name: 'snowdrift_requests_total',
    help: 'Requests that were answered.',
    labelNames,
    registers: [register],
  })
  const duration = new Histogram({
    name: 'snowdrift_request_seconds',
    help: 'How long an answer took, in seconds.',
    labelNames: ['method', 'route'],
    buckets: [0.005, 0.01, 0.03, 0.1, 0.3, 1, 3, 10],
    registers: [register],
  })
  const page = new Hono()
  page.get('/metrics', async context =>
    context.body(await register.metrics(), 200, { 'Content-Type': register.contentType }),
  )
  return {
    observe: ({ method, route, status, seconds }) => {
      requests.inc({ method, route, status: String(status) })
      duration.observe({ method, route }, seconds)
    },
    page,
  }
}

/** A worker is asked for its counts by the first process. */
function handToFirst(register: Registry): void {
  AggregatorRegistry.setRegistries(register)
  new AggregatorRegistry()
}

/** The page that is read off where several processes answer: what all of them counted, together. */
export function createGatheredMetrics(): Hono {
  const gathered = new AggregatorRegistry()
  const page = new Hono()
  page.get('/metrics', async context =>
    context.body(await gathered.clusterMetrics(), 200, { 'Content-Type': gathered.contentType }),
  )
  return page
}
