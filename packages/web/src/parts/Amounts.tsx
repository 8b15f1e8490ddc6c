import { sayAmounts, type Unit } from '@snowdrift/core'
import { Fractions } from './Fractions'

/** Words that hold amounts of the craft, in the workshop's unit. */
export function Amounts({ words, unit }: { readonly words: string; readonly unit: Unit }) {
  return <Fractions text={sayAmounts(words, unit)} />
}
