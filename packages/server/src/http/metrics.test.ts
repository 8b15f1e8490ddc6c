import { expect } from 'chai'
import { Hono } from 'hono'
import { answeredOf } from './answered.js'
import { createMetrics } from './metrics.js'

function appWith({ observe }: Pick<ReturnType<typeof createMetrics>, 'observe'>) {
  const app = new Hono()
  app.use(async (context, next) => {
    await next()
    observe(answeredOf(context, 20))
  })
  app.get('/covers/:id', context => context.json({}))
  app.put('/covers/:id', context => context.json({}, 412))
  app.all('/*', context => context.json({}, 404))
  return app
}

const linesOf = async (metrics: ReturnType<typeof createMetrics>) =>
  (await (await metrics.page.request('/metrics')).text()).split('\n')

describe('what is counted', () => {
  it('are answers by method, route and status, whatever cover they are of', async () => {
    const metrics = createMetrics()
    const app = appWith(metrics)
    for (const id of ['7b1c', '9d6e', '0a4b']) await app.request(`/covers/${id}`)
    await app.request('/covers/7b1c', { method: 'PUT' })
    expect(await linesOf(metrics)).to.include.members([
      'snowdrift_requests_total{method="GET",route="/covers/:id",status="200"} 3',
      'snowdrift_requests_total{method="PUT",route="/covers/:id",status="412"} 1',
    ])
  })

  it('is how long they took, in buckets', async () => {
    const metrics = createMetrics()
    await appWith(metrics).request('/covers/1')
    // 20 ms: not within 10, within 30.
    expect(await linesOf(metrics)).to.include.members([
      'snowdrift_request_seconds_bucket{le="0.01",method="GET",route="/covers/:id"} 0',
      'snowdrift_request_seconds_bucket{le="0.03",method="GET",route="/covers/:id"} 1',
      'snowdrift_request_seconds_sum{method="GET",route="/covers/:id"} 0.02',
    ])
  })

  it('has one name for all that nobody knows, so that strangers do not fill it', async () => {
    const metrics = createMetrics()
    const app = appWith(metrics)
    for (const path of ['/wp-admin', '/%2e%2e/etc', '/x']) await app.request(path)
    await app.request('/x', { method: 'BREW' })
    const own = (await linesOf(metrics)).filter(line => line.startsWith('snowdrift_requests_total{'))
    expect(own).to.deep.equal([
      'snowdrift_requests_total{method="GET",route="/*",status="404"} 3',
      'snowdrift_requests_total{method="other",route="/*",status="404"} 1',
    ])
  })

  it('tells how the process is, in the format that is read', async () => {
    const answer = await createMetrics().page.request('/metrics')
    expect(answer.headers.get('Content-Type')).to.match(/^text\/plain; version=/)
    expect(await answer.text()).to.contain('nodejs_heap_size_used_bytes ')
    expect((await createMetrics().page.request('/')).status).to.equal(404)
  })
})
