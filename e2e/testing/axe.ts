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
  await page.evaluate(settle)
  const { violations } = (await page.evaluate('axe.run(document)')) as AxeResult
  return violations.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html.slice(0, 200)}`))
}

/** A colour on its way to another has no contrast to speak of. What goes round and round is not waited for. */
async function settle(): Promise<void> {
  const passing = document
    .getAnimations()
    .filter(({ effect }) => Number.isFinite(effect?.getComputedTiming().endTime))
  await Promise.allSettled(passing.map(({ finished }) => finished))
}
