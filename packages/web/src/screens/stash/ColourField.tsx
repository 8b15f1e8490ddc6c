import type { Weave } from '@snowdrift/core'
import { Field } from '../../parts/Field'
import { useTyped } from '../../parts/use-typed'
import { WovenSwatch } from '../../views/Swatch'

interface ColourFieldProps {
  readonly value: string
  readonly weave: Weave
  readonly onChange: (colour: string) => void
}

/** The colour of a cloth, beside its weave in that colour. */
export function ColourField({ value, weave, onChange }: ColourFieldProps) {
  const [colour, setColour] = useTyped(value)
  return (
    <Field label="Colour">
      {({ id }) => (
        <span className="flex items-center gap-3">
          <input
            id={id}
            type="color"
            className="h-9 w-14"
            value={colour}
            onChange={event => setColour(event.target.value)}
            onBlur={() => {
              if (colour !== value) onChange(colour)
            }}
          />
          <WovenSwatch colour={colour} weave={weave} size="size-9" />
        </span>
      )}
    </Field>
  )
}
