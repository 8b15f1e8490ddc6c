import {
  formatLength,
  parseLength,
  readLength,
  type Length,
  type LengthRange,
  type TypedLength,
  type Unit,
} from '@snowdrift/core'
import { useId, useState, type KeyboardEvent, type ReactNode } from 'react'
import { Tape } from '../views/Tape'
import { focusNextLength } from './focus-next-length'
import { controlLook } from './Field'
import { formatThickness } from '../views/format-thickness'
import { Length as LengthText, Thickness } from './Length'

export interface LengthFieldProps {
  readonly label: string
  readonly value: TypedLength | undefined
  readonly unit: Unit
  readonly range: LengthRange
  /** The step of the arrow keys, and the marks of the tape that is shown. */
  readonly division: Length
  readonly help?: ReactNode
  /** What holds while nothing is typed. */
  readonly fallback?: Length | undefined
  /** Undefined clears it, once the field is left empty. Called only with what can be read. */
  readonly onChange: (typed: string | undefined) => void
  readonly onFocus?: () => void
  readonly hideLabel?: boolean
  /** Thicknesses are said in millimetres, for no tape has a mark for them. */
  readonly thin?: boolean
  /** Hands a change on when the field is left or Enter pressed, not with each key. */
  readonly whenLeft?: boolean
}

/** A length typed in any form a maker uses. The text stays as typed; what cannot be read changes nothing. */
export function LengthField(props: LengthFieldProps) {
  const {
    label,
    value,
    unit,
    range,
    division,
    help,
    fallback,
    onChange,
    onFocus,
    hideLabel = false,
    thin = false,
    whenLeft = false,
  } = props
  const id = useId()
  const given = value === undefined ? '' : String(value)
  const [typed, setTyped] = useState({ text: given, given })
  const [focused, setFocused] = useState(false)
  // A change from elsewhere, such as undo, replaces what stands here; our own change does not.
  const text = typed.given === given || typed.text === given ? typed.text : given
  const read = text.trim() === '' ? undefined : readLength(text, unit, range)

  const handOn = (next: string) => {
    const nextRead = readLength(next, unit, range)
    setTyped({ text: next, given: nextRead.ok ? next : given })
    if (nextRead.ok && next !== given) onChange(next)
  }
  const take = (next: string) => (whenLeft ? setTyped({ text: next, given }) : handOn(next))
  // An emptied field is cleared only when it is left: until then the maker is about to type something else.
  const leave = () => {
    setFocused(false)
    if (text.trim() !== '') return whenLeft ? handOn(text) : undefined
    setTyped({ text: '', given: '' })
    if (value !== undefined) onChange(undefined)
  }

  const step = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      event.preventDefault()
      focusNextLength(event.currentTarget)
      return
    }
    const direction = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0
    const from = read?.ok ? read.length : fallback
    if (direction === 0 || from === undefined) return
    event.preventDefault()
    const marks = Math.round(from / division) + direction
    take(
      thin
        ? formatThickness((marks * division) as Length)
        : formatLength((marks * division) as Length, unit, { bare: true }),
    )
  }

  return (
    <div className="grid content-start gap-1">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'font-medium'}>
        {label}
      </label>
      <div className="flex items-baseline gap-2">
        <input
          id={id}
          data-length-field
          className={`${controlLook} max-w-36 text-lg`}
          inputMode="text"
          autoComplete="off"
          spellCheck={false}
          value={text}
          placeholder={fallback === undefined ? '' : formatLength(fallback, unit, { bare: true })}
          aria-invalid={read !== undefined && !read.ok}
          aria-describedby={`${id}-read ${id}-help`}
          onChange={event => take(event.target.value)}
          onKeyDown={step}
          onFocus={() => {
            setFocused(true)
            onFocus?.()
          }}
          onBlur={leave}
        />
        <span id={`${id}-read`} className="min-w-0 text-soft" aria-live="polite">
          {read?.ok && (
            <>
              {read.about && 'about '}
              {!thin && !isWhole(read.length, unit) && '≈ '}
              {thin ? (
                <Thickness value={read.length} />
              ) : (
                <LengthText value={read.length} unit={unit} finest={64} />
              )}
            </>
          )}
          {read && !read.ok && <span className="text-bad">{read.message}</span>}
        </span>
      </div>
      <div className="relative">
        <p id={`${id}-help`} className="text-sm text-soft empty:hidden">
          {help}
        </p>
        {focused && read?.ok && !thin && (
          // Laid over what is beneath: nothing may move away from under a click when the field is left.
          <div className="pointer-events-none absolute top-0 left-0 z-10">
            <Tape reading={read.length} unit={unit} division={division} />
          </div>
        )}
      </div>
    </div>
  )
}

/** Whether the workshop's unit can say the length as it is: 153 mm is only about 6 1/32 in. */
function isWhole(length: Length, unit: Unit): boolean {
  const said = parseLength(formatLength(length, unit), unit)
  return said.ok && said.length === length
}
