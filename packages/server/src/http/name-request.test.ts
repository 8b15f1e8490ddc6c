import { expect } from 'chai'
import { Hono } from 'hono'
import { requestId } from 'hono/request-id'
import { nameRequest } from './name-request.js'
import { answerProblem } from './problems.js'

const app = new Hono()
app.use(requestId({ limitLength: 64 }))
app.get('/lost', context => answerProblem(context, { kind: 'missing', what: 'cover' }))
app.all('/*', context => context.json(nameRequest(context)))

async function ask(path: string, headers: Readonly<Record<string, string>> = {}) {
  const answer = await app.request(path, { headers })
  return { id: answer.headers.get('X-Request-Id'), body: (await answer.json()) as Record<string, unknown> }
}

describe('what a request is called', () => {
  it('is the same in the answer, in the log and in a problem', async () => {
    const { id, body } = await ask('/api/covers?limit=5')
    expect(id).to.match(/^[\da-f-]{36}$/)
    expect(body).to.deep.equal({ request: id, method: 'GET', path: '/api/covers' })
    const lost = await ask('/lost')
    expect(lost.body.request).to.equal(lost.id)
    expect(lost.id).not.to.equal(id)
  })

  it('may be said by a proxy in front, where that is a name', async () => {
    expect((await ask('/', { 'X-Request-Id': 'edge-1' })).id).to.equal('edge-1')
    for (const bad of ['a b', 'x'.repeat(65), '{"a":1}'])
      expect((await ask('/', { 'X-Request-Id': bad })).id, bad).to.match(/^[\da-f-]{36}$/)
  })

  it('has no secret of a link in it', async () => {
    const paths = await Promise.all(
      ['/api/shared/s3cret/sheet.pdf', '/api/shared/s3cret', '/shared/s3cret', '/api/shares/7'].map(
        async path => (await ask(path)).body.path,
      ),
    )
    expect(paths).to.deep.equal(['/api/shared/…/sheet.pdf', '/api/shared/…', '/shared/…', '/api/shares/7'])
  })
})
