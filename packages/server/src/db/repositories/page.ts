import type { Page } from '@snowdrift/core'

export interface PageRequest {
  /** The cursor that the page before gave; none for the first. */
  readonly after?: string
  readonly limit: number
}

/** Rows that were asked for with one more than the limit, as a page: the one too many says that there is another. */
export function pageOf<Stored extends { readonly seq: string }, Row>(
  rows: readonly Stored[],
  limit: number,
  read: (stored: Stored) => Row,
): Page<Row> {
  const items = rows.slice(0, limit)
  const last = items.at(-1)
  return { items: items.map(read), next: rows.length > limit && last ? last.seq : null }
}

/** Every row of a list, page by page. */
export async function listAll<Row>(list: (page: PageRequest) => Promise<Page<Row>>): Promise<readonly Row[]> {
  const rows: Row[] = []
  let after: string | undefined
  for (;;) {
    const page = await list({ limit: 500, ...(after !== undefined && { after }) })
    rows.push(...page.items)
    if (page.next === null) return rows
    after = page.next
  }
}
