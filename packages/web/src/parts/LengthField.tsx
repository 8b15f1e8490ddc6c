import {
  formatLength,
  parseLength,
  readLength,
  sayThickness,
  sayUnit,
  scale,
  type Length,
  type LengthRange,
  type TypedLength,
  type Unit,
} from '@snowdrift/core'
import { useContext, useId, useState, type KeyboardEvent, type ReactNode } from 'react'
import { Tape } from '../views/Tape'
import { focusNextLength } from './focus-next-length'
import { Button } from './Button'
import { controlLook } from './Field'
import { FractionKeys } from './FractionKeys'
import { Fractions } from './Fractions'
import { typeset } from '../views/typeset'
import { useIsTouch } from '../views/use-media'
import { withKey } from './with-key'
import { WrittenUnit } from './written-unit'
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
  /** Undefined clears it, once the field is left empty. What cannot be read is handed on as it was typed. */
  readonly onChange: (typed: string | undefined) => void
  readonly onFocus?: () => void
  readonly hideLabel?: boolean
  /** Thicknesses are said in millimetres, for no tape has a mark for them. */
  readonly thin?: boolean
  /** Hands a change on when the field is left or Enter pressed, not with each key, and only what can be read. */
  readonly whenLeft?: boolean
  /** Where a form is sent by it, Enter does not go to the next length. */
  readonly enterSends?: boolean
  /** Has the cursor as soon as it is there. */
  readonly autoFocus?: boolean
  /** Stands alone: the tape and the fractions take room of their own, for nothing stands beneath that would move. */
  readonly alone?: boolean
}

/**
 * A length typed in any form a maker uses. The text stays as typed. What cannot be read is no shorter length that was
 * read on the way to it: it is handed on too, and nothing is planned from it.
 */
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
    enterSends = false,
    autoFocus = false,
    alone = false,
  } = props
  const id = useId()
  const written = useContext(WrittenUnit) ?? unit
  const given = value === undefined ? '' : String(written === unit ? value : sayUnit(value, written))
  const [typed, setTyped] = useState({ text: given, given })
  const [focused, setFocused] = useState(false)
  const touch = useIsTouch()
  // A change from elsewhere, such as undo, replaces what stands here; our own change does not.
  const text = typed.given === given || typed.text === given ? typed.text : given
  const read = text.trim() === '' ? undefined : readLength(text, unit, range)

  const handOn = (next: string) => {
    const isKept = next.trim() !== '' && (!whenLeft || readLength(next, unit, range).ok)
    const said = written === unit ? next : String(sayUnit(next, unit))
    setTyped({ text: next, given: isKept ? said : given })
    if (isKept && said !== given) onChange(said)
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
    if (event.key === 'Escape') return event.currentTarget.blur()
    if (event.key === 'Enter') {
      if (enterSends) return
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
        ? sayThickness(scale(division, marks))
        : formatLength(scale(division, marks), unit, { bare: true }),
    )
  }

  // The tape or the keys lie over the help: what would stick out beside them is half a sentence.
  const isCovered = focused && !alone && !thin && (touch || read?.ok === true)
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
          inputMode={touch ? 'decimal' : 'text'}
          autoComplete="off"
          autoFocus={autoFocus}
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
          {read && !read.ok && (
            <span className="text-bad">
              <Fractions text={typeset(read.message)} />
            </span>
          )}
        </span>
      </div>
      {read && !read.ok && read.rather !== undefined && (
        <DidYouMean rather={read.rather} onTake={() => handOn(read.rather ?? '')} />
      )}
      <div className="relative">
        <p id={`${id}-help`} className={`text-sm text-soft empty:hidden ${isCovered ? 'invisible' : ''}`}>
          {typeof help === 'string' ? <Fractions text={help} /> : help}
        </p>
        {focused && (
          // Laid over what is beneath: nothing may move away from under a click when the field is left.
          <div className={`pointer-events-none z-10 grid gap-1 ${alone ? 'mt-2' : 'absolute top-0 left-0'}`}>
            {read?.ok && !thin && <Tape reading={read.length} unit={unit} division={division} />}
            {touch && !thin && (
              <div className={`pointer-events-auto rounded-md bg-ground p-1 ${alone ? '' : 'shadow'}`}>
                <FractionKeys unit={unit} onType={key => take(withKey(text, key))} />
              </div>
            )}
          </div>
        )}
      </div>
    </div>
  )
}

/** What was probably meant, to be taken with one press. */
function DidYouMean({ rather, onTake }: { readonly rather: string; readonly onTake: () => void }) {
  return (
    <div>
      <Button onClick={onTake}>
        <span>
          It is <Fractions text={typeset(rather)} />
        </span>
      </Button>
    </div>
  )
}

/** Whether the workshop's unit can say the length as it is: 153 mm is only about 6 1/32 in. */
function isWhole(length: Length, unit: Unit): boolean {
  const said = parseLength(formatLength(length, unit), unit)
  return said.ok && said.length === length
}
