import type { MaterialBody, Stock } from '@snowdrift/core'

/** A material of which the stash knows one thing more, or less where nothing is said. */
export function withStock(body: MaterialBody, key: keyof Stock, value: unknown): MaterialBody {
  const { [key]: _before, ...rest } = body.stock
  return { ...body, stock: value === undefined || value === '' ? rest : { ...rest, [key]: value } }
}
