import { useId } from 'react'

interface RangeFieldProps {
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
  readonly step: number
  /** The value in words: “15°”. */
  readonly words: string
  readonly onChange: (value: number) => void
}

/** A number that is felt for rather than typed. */
export function RangeField({ label, value, min, max, step, words, onChange }: RangeFieldProps) {
  const id = useId()
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="flex justify-between text-sm font-medium">
        {label} <span className="font-normal text-soft tabular-nums">{words}</span>
      </label>
      <input
        id={id}
        type="range"
        className="min-h-6 w-full accent-(--thread) [@media(pointer:coarse)]:min-h-11"
        {...{ value, min, max, step }}
        aria-valuetext={words}
        onChange={event => onChange(Number(event.target.value))}
      />
    </div>
  )
}
