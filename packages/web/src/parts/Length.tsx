import { Fractions } from './Fractions'
import { formatLength, sayThickness, type Length as CoreLength, type Unit } from '@snowdrift/core'

interface LengthProps {
  readonly value: CoreLength
  readonly unit: Unit
  readonly finest?: number
  readonly bare?: boolean
}

/** A thickness in millimetres to two decimals. */
export function Thickness({ value }: { readonly value: CoreLength }) {
  return (
    <span className="whitespace-nowrap" data-thickness>
      {sayThickness(value)}
    </span>
  )
}

/** A length with a true fraction: 8 ¾ in. */
export function Length({ value, unit, finest = 32, bare = false }: LengthProps) {
  return (
    <span className="whitespace-nowrap">
      <Fractions text={formatLength(value, unit, { style: 'proper', finest, bare })} />
    </span>
  )
}
