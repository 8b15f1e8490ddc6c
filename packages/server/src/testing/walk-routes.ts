import { expect } from 'chai'
import { coverBody, materialBody, ruleBody, thingBody } from './bodies.js'
import type { Answer, RequestOptions, TestApp } from './test-database.js'

interface Walk {
  readonly routes: TestApp['routes']
  /** An id of each kind of thing that others have. */
  readonly foreign: Readonly<Record<string, string>>
  readonly ask: (method: string, path: string, options: RequestOptions) => Promise<Answer>
  /** What no answer may say. */
  readonly secrets: readonly string[]
  /** What is sent beside what is always tried. */
  readonly bodies?: readonly object[]
  readonly except?: (method: string, path: string) => boolean
}

/**
 * Asks every route with every kind of another workshop’s ids: none may fail of itself, and none may show anything of theirs.
 * Gives how often it asked.
 */
export async function walkRoutes({
  routes,
  foreign,
  ask,
  secrets,
  bodies = [],
  except,
}: Walk): Promise<number> {
  const asked = routes.filter(
    ({ method, path }) =>
      method !== 'ALL' &&
      path.startsWith('/api/') &&
      !path.includes('*') &&
      // an archive is answered as long as it is; what it takes in is tried by itself
      !['/api/archive', '/api/live'].includes(path) &&
      !except?.(method, path),
  )
  expect(asked.length).to.be.above(40)
  const ids = [...new Set(Object.values(foreign))]
  let tried = 0
  // Read first: under an id of theirs one may begin something of one's own, which is shown afterwards.
  const readsFirst = asked.toSorted((one, other) => rank(one.method) - rank(other.method))
  for (const { method, path } of readsFirst) {
    const paths = path.includes('/:') ? ids.map(id => withIds(path, id)) : queriesOf(path, ids)
    for (const address of paths)
      for (const [body, headers] of method === 'GET'
        ? ([[undefined, {}]] as const)
        : writesOf(method, bodies)) {
        const answer = await ask(method, address, { headers, ...(body !== undefined && { body }) })
        tried++
        expect(answer.status, `${method} ${address}`).to.be.below(500)
        const said = JSON.stringify(answer.body)
        for (const secret of secrets) expect(said, `${method} ${address}`).not.to.contain(secret)
        if (method === 'GET')
          for (const id of ids.filter(one => !address.includes(one)))
            expect(said, `${method} ${address}`).not.to.contain(id)
      }
  }
  return tried
}

function rank(method: string): number {
  return method === 'GET' ? 0 : 1
}

/** An address with one of their ids wherever it takes one, and whatever else it takes as it must be. */
function withIds(path: string, id: string): string {
  return path.replace(/:(\w+)(\{[^}]*\})?/g, () => id)
}

/** An address that takes no id in its path, with their ids where its query takes some. */
function queriesOf(path: string, ids: readonly string[]): readonly string[] {
  if (path === '/api/shares') return ids.map(id => `${path}?cover=${id}`)
  if (['/api/covers', '/api/things', '/api/materials', '/api/makes'].includes(path))
    return [path, `${path}?ids=${ids.join(',')}`]
  return [path]
}

function writesOf(
  method: string,
  more: readonly object[],
): readonly (readonly [object | undefined, Readonly<Record<string, string>>])[] {
  const stock = { source: 'remnant', width: '500', length: '700' }
  const bodies =
    method === 'DELETE' ? [undefined] : [{}, thingBody, coverBody(), materialBody, ruleBody, stock, ...more]
  const bases = [{ 'If-Match': '"v1"' }, { 'If-None-Match': '*' }, {}]
  return bodies.flatMap(body => bases.map(headers => [body, headers] as const))
}
