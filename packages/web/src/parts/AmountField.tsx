import { controlLook, Field } from './Field'
import { readAmount } from './read-amount'
import { useTyped } from './use-typed'

interface AmountFieldProps {
  readonly label: string
  readonly help: string
  readonly most: number
  readonly value: number | undefined
  readonly onChange: (amount: number | undefined) => void
}

/** An amount, handed on when the field is left; what is no amount changes nothing. */
export function AmountField({ label, help, most, value, onChange }: AmountFieldProps) {
  const shown = value === undefined ? '' : String(value)
  const [text, setText] = useTyped(shown)
  const amount = readAmount(text, most)
  const wrong = amount === 'wrong'
  return (
    <Field label={label} help={wrong ? `Expected an amount from 0 to ${most}, such as 2.5.` : help}>
      {({ id, describedBy }) => (
        <input
          id={id}
          aria-describedby={describedBy}
          aria-invalid={wrong}
          inputMode="decimal"
          className={controlLook}
          value={text}
          onChange={event => setText(event.target.value)}
          onBlur={() => {
            if (amount !== 'wrong' && text !== shown) onChange(amount)
          }}
        />
      )}
    </Field>
  )
}
