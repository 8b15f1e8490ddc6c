import { formatLength, parseLength, toMm, type Unit } from '@snowdrift/core'
import { Ruler, X } from 'lucide-react'
import { useCallback, useEffect, useRef, useState } from 'react'
import { tapeWanted } from '../../app/devices-slice'
import { useAppDispatch } from '../../app/store'
import { Button } from '../../parts/Button'
import { controlLook } from '../../parts/Field'
import { IconButton } from '../../parts/IconButton'
import { typeset } from '../../views/typeset'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { tape } from './the-tape'
import { useTape } from './use-tape'

const tones = { good: 'text-good', bad: 'text-bad', soft: 'text-soft' } as const

/** The tape that is connected, on every screen: what it said last, and for the stand-in the hand that lays it on. */
export default function TapeBar() {
  const unit = useWorkshopUnit(undefined)
  const { isConnected, battery, said, tone } = useTape(tape, unit)
  const [why, setWhy] = useState('')
  const dispatch = useAppDispatch()
  const tryIt = useCallback(() => {
    tape.connect().catch((error: unknown) => setWhy((error as Error).message))
  }, [])
  // Once, when the bar comes: whoever asked for it has pressed “Connect”.
  useEffect(tryIt, [tryIt])
  const connect = () => {
    setWhy('')
    tryIt()
  }
  const leave = () => {
    tape.disconnect()
    dispatch(tapeWanted(false))
  }
  return (
    <aside
      aria-label="Digital tape"
      className="no-print sticky bottom-0 z-20 flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-strong-rule bg-surface px-4 py-2"
    >
      <Ruler className="size-5 text-thread" aria-hidden />
      <span className="text-soft tabular-nums">
        {tape.name}
        {isConnected && battery !== undefined && `, battery ${battery} %`}
      </span>
      <span role="status" className={`flex-1 basis-60 ${why ? 'text-bad' : tones[tone]}`}>
        {typeset(why || said || 'Connecting …')}
      </span>
      {isConnected ? (
        <Hand unit={unit} />
      ) : (
        <Button small onClick={connect}>
          Connect again
        </Button>
      )}
      <IconButton icon={X} label="Put the tape away" onClick={leave} />
    </aside>
  )
}

/** The hand that a stand-in has not: what the tape lies along, and its button. */
function Hand({ unit }: { readonly unit: Unit }) {
  const [text, setText] = useState(
    unit === 'in' ? '8 3/4' : formatLength(parseOr('222 mm'), unit, { bare: true }),
  )
  const field = useLastLengthField()
  const read = parseLength(text, unit)
  const press = () => {
    if (!read.ok) return
    field.current?.focus()
    tape.press(toMm(read.length))
  }
  return (
    <span className="flex items-center gap-2">
      <label className="flex items-center gap-2 text-soft">
        lies along
        <input
          aria-invalid={!read.ok}
          className={`${controlLook} !w-24`}
          value={text}
          onChange={event => setText(event.target.value)}
          onKeyDown={event => event.key === 'Enter' && press()}
        />
      </label>
      <Button small disabled={!read.ok} onClick={press}>
        Press its button
      </Button>
    </span>
  )
}

function parseOr(text: string) {
  const read = parseLength(text, 'mm')
  if (!read.ok) throw new Error(`${text} is no length`)
  return read.length
}

/** Where the cursor was before the hand went to the stand-in: a real tape does not take it away. */
function useLastLengthField() {
  const field = useRef<HTMLElement>(undefined)
  useEffect(() => {
    const note = ({ target }: FocusEvent) => {
      if (target instanceof HTMLElement && target.matches('[data-length-field]')) field.current = target
    }
    document.addEventListener('focusin', note)
    return () => document.removeEventListener('focusin', note)
  }, [])
  return field
}
