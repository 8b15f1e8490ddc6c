import { ToggleGroup } from 'radix-ui'
import { memo } from 'react'

interface ToggleProps<Value extends string> {
  readonly label: string
  readonly value: Value
  readonly choices: Readonly<Record<Value, string>>
  readonly onChange: (value: Value) => void
}

/**
 * Two or three views of the same thing, side by side. Drawn anew only where something of it is another: beside a picture
 * its choices and what they do stay the same while lengths are typed.
 */
export const Toggle = memo(Choices) as typeof Choices

function Choices<Value extends string>({ label, value, choices, onChange }: ToggleProps<Value>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={next => next && onChange(next as Value)}
      className="inline-flex rounded-md border border-rule bg-surface text-sm"
    >
      {Object.entries<string>(choices).map(([key, words]) => (
        <ToggleGroup.Item
          key={key}
          value={key}
          className="min-h-7 rounded-md px-2.5 text-soft data-[state=on]:bg-sunken data-[state=on]:font-medium data-[state=on]:text-ink"
        >
          {words}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  )
}
