import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from 'puppeteer-core'

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

interface AxeResult {
  readonly violations: readonly {
    readonly id: string
    readonly nodes: readonly { readonly html: string }[]
  }[]
}

/** What axe finds wrong with the page, for every rule up to WCAG 2.2 AA. */
export async function axe(page: Page): Promise<readonly string[]> {
  await page.evaluate(source)
  const { violations } = (await page.evaluate('axe.run(document)')) as AxeResult
  return violations.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html.slice(0, 200)}`))
}
