import { subtract, toInches, toMm, type Length, type Side, type Unit } from '@snowdrift/core'
import { Length as LengthText } from '../../../parts/Length'

interface ReasonSumProps {
  readonly name: string
  readonly side: Side
  readonly unit: Unit
}

/** The reasons of one side as a sum, down to the size that is cut. */
export function ReasonSum({ name, side, unit }: ReasonSumProps) {
  const rounding = subtract(side.cut, side.exact)
  return (
    <table className="w-full max-w-md self-start text-sm">
      <caption className="pb-1 text-left font-medium">{name}</caption>
      <tbody>
        {side.reasons.map(({ label, length }) => (
          <Row key={label} label={label} length={length} unit={unit} />
        ))}
        {rounding !== 0 && (
          <Row label={rounding > 0 ? 'rounded up' : 'rounded down'} length={rounding} unit={unit} />
        )}
      </tbody>
      <tfoot>
        <tr className="border-t border-strong-rule font-medium">
          <th className="pr-4 text-left font-medium">cut</th>
          <td className="text-right">
            <LengthText value={side.cut} unit={unit} />
          </td>
        </tr>
      </tfoot>
    </table>
  )
}

/** What is no whole mark of the tape is said in decimals too, so that the sum can be checked. */
function Row({
  label,
  length,
  unit,
}: {
  readonly label: string
  readonly length: Length
  readonly unit: Unit
}) {
  const exact = (
    unit === 'in' ? toInches(length).toFixed(4) : (toMm(length) / (unit === 'cm' ? 10 : 1)).toFixed(3)
  )
    .replace(/\.?0+$/, '')
    .replace('-', '−')
  return (
    <tr>
      <th className="pr-4 text-left font-normal text-soft">{label}</th>
      <td className="text-right whitespace-nowrap">
        {unit === 'in' ? <LengthText value={length} unit={unit} /> : `${exact}\u00a0${unit}`}
        {unit === 'in' && <span className="text-soft"> ({exact})</span>}
      </td>
    </tr>
  )
}
