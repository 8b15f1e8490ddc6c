import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from 'chai'
import { Hono } from 'hono'
import { serveWeb } from './web.js'

describe('serving the web application', () => {
  let folder = ''
  const app = new Hono()
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-web-'))
    await mkdir(join(folder, 'dist', 'assets'), { recursive: true })
    await writeFile(join(folder, 'secret.txt'), 'not for you')
    await writeFile(join(folder, 'dist', 'index.html'), '<title>The page</title>')
    await writeFile(join(folder, 'dist', 'assets', 'main-1a2b.js'), 'run()')
    serveWeb(app, join(folder, 'dist'))
  })
  after(() => rm(folder, { recursive: true }))

  const get = async (path: string) => {
    const response = await app.request(path)
    return {
      status: response.status,
      text: await response.text(),
      cache: response.headers.get('Cache-Control'),
    }
  }

  it('gives the page for every address, and lets nobody keep it', async () => {
    for (const path of ['/', '/new', '/covers/1/measure'])
      expect(await get(path)).to.deep.equal({
        status: 200,
        text: '<title>The page</title>',
        cache: 'no-cache',
      })
  })

  it('lets files that are named by their content be kept for good', async () => {
    const { status, text, cache } = await get('/assets/main-1a2b.js')
    expect([status, text]).to.deep.equal([200, 'run()'])
    expect(cache).to.contain('immutable')
  })

  it('answers 404 for a file that is not there, so that no page is taken for a script', async () => {
    expect((await get('/assets/gone.js')).status).to.equal(404)
  })

  it('gives nothing from outside its folder', async () => {
    for (const path of [
      '/../secret.txt',
      '/%2e%2e/secret.txt',
      '/assets/..%2f..%2fsecret.txt',
      '/assets/%2e%2e/%2e%2e/secret.txt',
    ])
      expect((await get(path)).text, path).not.to.contain('not for you')
  })
})
