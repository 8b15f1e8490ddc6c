import { expect } from 'chai'
import { readFile } from 'node:fs/promises'
import { useHosted } from '../testing/visitor.js'
import { createMetrics } from './metrics.js'

describe('the rules by which a host is warned', function () {
  this.timeout(120_000)
  const { app, visitor } = useHosted()
  let rules: readonly string[] = []
  before(async () => {
    const text = await readFile(new URL('../../../../docs/alerts.yml', import.meta.url), 'utf8')
    rules = text.split('\n').flatMap(line => /^\s+expr: (.*)$/.exec(line)?.[1] ?? [])
  })
  /** What is asked for by a label, as a pattern of all of it. */
  const asked = (rule: string, label: string) =>
    [...rule.matchAll(new RegExp(`${label}=~?"([^"]*)"`, 'g'))].map(
      found => new RegExp(`^(${found[1] ?? ''})$`),
    )

  it('ask for what is counted, by names and labels that it has', async () => {
    expect(rules).to.have.length(6)
    const metrics = createMetrics()
    const counted = await (await metrics.page.request('/metrics')).text()
    for (const rule of rules)
      for (const [name] of rule.matchAll(/snowdrift_\w+/g))
        expect(counted, name).to.include(`# TYPE ${name.replace(/_bucket$/, '')} `)
  })

  it('name routes that there are', () => {
    const routes = app().routes.map(({ path }) => path)
    for (const rule of rules)
      for (const pattern of asked(rule, 'route'))
        expect(
          routes.some(path => pattern.test(path)),
          rule,
        ).to.equal(true)
  })

  it('would be tripped by guesses, and not by people who come in', async () => {
    const [guessing = ''] = rules
    const answerTo = async (said: string) => {
      const { status } = await visitor().ask('POST', '/api/enter', {
        ...{ signInName: 'nobody', passphrase: said, device: 'Phone' },
      })
      return status
    }
    const [status, route] = [asked(guessing, 'status')[0], asked(guessing, 'route')[0]]
    expect(status?.test(String(await answerTo('a guess')))).to.equal(true)
    expect(status?.test('200')).to.equal(false)
    // every way in is watched
    const ways = app().routes.filter(({ method, path }) => method === 'POST' && path.startsWith('/api/enter'))
    expect(ways.length).to.be.at.least(5)
    for (const { path } of ways) expect(route?.test(path), path).to.equal(true)
  })
})
