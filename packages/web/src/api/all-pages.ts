import type { Page } from '@snowdrift/core'
import type { BaseQueryApi, BaseQueryFn, FetchArgs, FetchBaseQueryError } from '@reduxjs/toolkit/query'

type Fetch = (
  arg: string | FetchArgs,
) => ReturnType<BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError>>

const longestPage = 500

/** Asks for a list page by page until it has all of it: what is kept in full is never shown in part. */
export function allPages<Row>(path: string, itemsOf: (page: Page<Row>) => readonly Row[]) {
  return async (
    _arg: void,
    _api: BaseQueryApi,
    _options: unknown,
    fetchPage: Fetch,
  ): Promise<{ readonly data: readonly Row[] } | { readonly error: FetchBaseQueryError }> => {
    const rows: Row[] = []
    for (let after = ''; ;) {
      const answer = await fetchPage(`${path}?limit=${longestPage}${after && `&after=${after}`}`)
      if (answer.error) return { error: answer.error }
      const page = answer.data as Page<Row>
      rows.push(...itemsOf(page))
      if (page.next === null) return { data: rows }
      after = page.next
    }
  }
}
