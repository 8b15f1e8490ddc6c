import fc from 'fast-check'
import { randomUUID } from 'node:crypto'
import { variedCover } from '../covers.js'
import { quantile, report } from '../measure.js'
import type { OwnServer } from './own-server.js'

const atOnce = 20
const hangMs = 10_000

/** Ids of rows that are there, of some that are not, and what is no id. */
const idsOf = (known: readonly string[]) =>
  fc.oneof(
    { weight: 4, arbitrary: fc.constantFrom(...known) },
    fc.constantFrom(randomUUID(), '0', '..', '%00', 'x'.repeat(300)),
  )
const kindsWithIds = [
  'covers',
  'things',
  'materials',
  'cuttings',
  'stash/pieces',
  'rules',
  'makings',
  'makes',
  'marks',
  'progress',
  'shares',
  'devices',
]
const pathsOf = (known: readonly string[]) =>
  fc.oneof(
    fc.constantFrom(
      '/covers',
      '/things',
      '/materials',
      '/cuttings',
      '/settings',
      '/stash/pieces',
      '/stash.csv',
    ),
    fc.constantFrom(
      '/health',
      '/stash/reserve',
      '/stash/release',
      '/stash/cut',
      '/shop/offers?role=outer',
      '/nowhere',
    ),
    fc.constantFrom(
      '/pair',
      '/devices',
      '/devices/here',
      '/devices/code',
      '/devices/sharing',
      '/shelf',
      '/rules',
      '/makes',
      '/marks',
      '/shares?cover=0',
      '/shared/nobody',
      '/things.csv?kind=notebook',
    ),
    fc.tuple(fc.constantFrom(...kindsWithIds), idsOf(known)).map(([kind, one]) => `/${kind}/${one}`),
    fc
      .tuple(fc.constantFrom('pieces', 'history', 'picture', 'restore'), idsOf(known))
      .map(([what, one]) => `/materials/${one}/${what}`),
  )
const query = fc.constantFrom(
  '',
  '',
  '',
  '?limit=500',
  '?limit=-1',
  '?after=9',
  '?after=%27',
  '?x=1',
  '?limit=1e9',
)
/** A body that each route would take. */
const soundBodies: readonly (readonly [RegExp, object])[] = [
  [/pieces/, { source: 'remnant', width: '3', length: '4' }],
  [/^\/stash\/cut/, { coverId: randomUUID(), pieces: [{ id: randomUUID(), version: 1, leftOvers: [] }] }],
  [/^\/stash\//, { coverId: randomUUID(), pieces: [{ id: randomUUID(), version: 1 }] }],
  [/^\/covers/, { thingId: null, file: variedCover(1) }],
  [/^\/things/, { name: 'Log', unit: 'mm', object: { kind: 'notebook', readings: {} } }],
  [
    /^\/materials/,
    { unit: 'in', swatch: '#aabbcc', material: { role: 'outer', name: 'Felt', thickness: '1 mm' } },
  ],
  [/^\/pair/, { code: 'ABCD-EFGH', name: 'Phone' }],
  [/^\/devices/, { isOn: false }],
  [/^\/(makings|progress)/, { progress: { steps: {}, waits: {}, made: {}, schools: {} } }],
  [/^\/cuttings/, { plan: { coverIds: [randomUUID()] } }],
  [/./, { unit: 'in', grid: null, tapeDivision: null, seam: null }],
]
/** The sound one, or it with something in it put out of shape, or anything at all. */
const bodyFor = (path: string) => {
  const sound = soundBodies.find(([pattern]) => pattern.test(path))?.[1] ?? {}
  const keys = Object.keys(sound)
  return fc.oneof(
    fc.constant(JSON.stringify(sound)),
    fc
      .tuple(fc.constantFrom(...keys), fc.jsonValue())
      .map(([key, odd]) => JSON.stringify({ ...sound, [key]: odd })),
    fc.json(),
    fc.string({ maxLength: 400 }),
    fc.constantFrom('', 'null', '[]', '{', '\u0000', '"\ud800"', '[[[[['.repeat(2000), 'x'.repeat(300_000)),
  )
}
const headers = fc.record(
  {
    'If-Match': fc.constantFrom('"v1"', '"v0"', 'v1', '*', '"v99999999999"'),
    'If-None-Match': fc.constantFrom('*', '"v1"'),
    'Idempotency-Key': fc.constantFrom(randomUUID(), randomUUID(), 'x', ''),
    'Content-Type': fc.constantFrom('application/json', 'application/json', 'text/csv', 'image/png'),
  },
  { requiredKeys: ['Content-Type'] },
)
const method = fc.constantFrom(
  ...['GET', 'GET', 'GET', 'POST', 'POST', 'POST', 'PUT', 'PUT', 'PUT', 'DELETE', 'PATCH'],
)

/** Requests over every route, sound ones and ones put out of shape: no answer may be our mistake, none may be missing. */
export async function benchFuzz(server: OwnServer, count: number): Promise<void> {
  const before = await server.memoryMb()
  const path = pathsOf(await makeRows(server.address))
  const request = path.chain(where =>
    fc.record({ method, path: fc.constant(where), query, headers, body: bodyFor(where) }),
  )
  const requests = fc.sample(request, { numRuns: count, seed: 1 })
  const statuses = new Map<number | 'none', number>()
  const samples: number[] = []
  const next = requests.values()
  const visitor = async () => {
    for (const { method: verb, path: where, query: asked, headers: said, body: content } of next) {
      const began = performance.now()
      const status = await fetch(`${server.address}/api${where}${asked}`, {
        method: verb,
        headers: said,
        ...(verb !== 'GET' && { body: content }),
        signal: AbortSignal.timeout(hangMs),
      }).then(
        async response => (await response.arrayBuffer(), response.status),
        (): 'none' => 'none',
      )
      // The simulated shop takes its time on purpose.
      if (!where.startsWith('/shop')) samples.push(performance.now() - began)
      statuses.set(status, (statuses.get(status) ?? 0) + 1)
    }
  }
  await Promise.all(Array.from({ length: atOnce }, visitor))
  const counts = [...statuses].toSorted(([a], [b]) => String(a).localeCompare(String(b)))
  console.log(
    `${count} fuzzed requests: ${counts.map(([status, times]) => `${status} × ${times}`).join(', ')}`,
  )
  const of = (matches: (status: number) => boolean) =>
    counts.reduce(
      (sum, [status, times]) => sum + (typeof status === 'number' && matches(status) ? times : 0),
      0,
    )
  report(
    'fuzzed requests answered 500',
    of(status => status === 500),
    '',
    0,
  )
  report('fuzzed requests not answered', statuses.get('none') ?? 0, '', 0)
  report('fuzzed requests, 99th percentile', quantile(samples, 0.99), 'ms', 1000)
  report('memory of the server after them, more than before', (await server.memoryMb()) - before, 'MB', 250)
}

/** Some ids, under each of which there is a row of each kind. */
async function makeRows(address: string): Promise<readonly string[]> {
  const ids = Array.from({ length: 100 }, () => randomUUID())
  for (const id of ids)
    for (const kind of ['covers', 'things', 'materials', 'cuttings']) {
      const row = soundBodies.find(([pattern]) => pattern.test(`/${kind}`))?.[1]
      const said = { 'Content-Type': 'application/json', 'If-None-Match': '*' }
      await fetch(`${address}/api/${kind}/${id}`, { method: 'PUT', headers: said, body: JSON.stringify(row) })
    }
  return ids
}
