import type { ToBuy, Unit } from '@snowdrift/core'
import { Length } from '../../../parts/Length'

interface SheetsProps {
  readonly toBuy: ToBuy & { readonly kind: 'sheets' }
  readonly unit: Unit
}

/** “2 sheets of 12 × 12 in”. */
export function Sheets({ toBuy: { count, width, length }, unit }: SheetsProps) {
  return (
    <>
      {count} {count === 1 ? 'sheet' : 'sheets'} of <Length value={width} unit={unit} finest={8} bare /> ×{' '}
      <Length value={length} unit={unit} finest={8} />
    </>
  )
}
