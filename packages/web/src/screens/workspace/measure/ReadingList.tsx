import { oneStep } from '../../../drafts/draft'
import {
  applyRepair,
  changeThing,
  deriveUncertainty,
  readingRanges,
  readingStates,
  readingStateWords,
  readingWords,
  listThings,
  type Finding,
  type FindingCode,
  type Length,
  type ReadingKey,
  type ReadingState,
  type TypedObject,
  type TypedReading,
} from '@snowdrift/core'
import { Plus } from 'lucide-react'
import { memo, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import { Link } from 'react-router'
import { Button } from '../../../parts/Button'
import { FindingNote } from '../../../parts/FindingNote'
import { Fractions } from '../../../parts/Fractions'
import { saySpread } from '../../../views/ease-words'
import { LengthField } from '../../../parts/LengthField'
import { findingsAbout, type CoverInHand } from '../cover-context'

/** What is measured, and how to say so. */
export type Measured = Pick<CoverInHand, 'file' | 'planned' | 'unit' | 'division' | 'change'>

interface ReadingListProps extends Pick<ReadingsProps, 'thing' | 'reading' | 'onFocus'> {
  readonly measured: Measured
  /** Whoever measures for another’s cover has no practice to go to. */
  readonly isGuest?: boolean
  /** A cover that nothing is measured of yet puts the cursor here. */
  readonly autoFocus?: boolean
}

/** One measurement: its readings, each as typed, and what is to be said of them. */
export function ReadingList({ measured, isGuest = false, autoFocus = false, ...which }: ReadingListProps) {
  const { file, planned, unit, division, change } = measured
  const { thing, reading } = which
  const { kind, readings } = listThings(file)[thing] ?? {}
  const object = planned.cover?.objects[thing]
  const found = findingsAbout(planned, `reading:${reading}`)
  return (
    <Readings
      {...which}
      isGuest={isGuest}
      autoFocus={autoFocus}
      isDevice={kind === 'tablet'}
      taken={readings?.[reading] ?? noneTaken}
      spread={object && deriveUncertainty(object, reading)}
      found={found.length > 0 ? found : noneFound}
      unit={unit}
      division={division}
      change={change}
    />
  )
}

const noneTaken: readonly TypedReading[] = []
const noneFound: readonly Finding[] = []

interface ReadingsProps extends Pick<CoverInHand, 'unit' | 'division' | 'change'> {
  /** Which of the things the cover is for, counted from 0. */
  readonly thing: number
  readonly reading: ReadingKey
  readonly onFocus: (reading: ReadingKey) => void
  readonly isGuest: boolean
  readonly autoFocus: boolean
  readonly isDevice: boolean
  readonly taken: readonly TypedReading[]
  /** How sure one is of what they come to. */
  readonly spread: Length | undefined
  readonly found: readonly Finding[]
}

/** Drawn anew only where something of this measurement is another: all others stand beside it while one is typed. */
const Readings = memo(function Readings(props: ReadingsProps) {
  const { thing, reading, onFocus, isGuest, autoFocus, isDevice, taken, spread, found } = props
  const { unit, division, change } = props
  const [rowsAsked, setRowsAsked] = useState(1)
  const list = useRef<HTMLDivElement>(null)
  const { name, how, onDevice } = readingWords[reading]
  const rows = Math.max(rowsAsked, taken.length, 1)
  const set = (index: number, entry: TypedReading | undefined) =>
    // Taking a reading out is no typing on.
    change(entry === undefined ? oneStep : `reading.${thing}.${reading}.${index}`, current =>
      changeThing(current, thing, object => withReading(object, reading, index, entry)),
    )
  return (
    <div ref={list} className="grid gap-2" data-reading={reading} onFocus={() => onFocus(reading)}>
      {Array.from({ length: rows }, (_, index) => {
        const entry = taken[index]
        const detail = typeof entry === 'object' ? entry : undefined
        return (
          <div key={index} data-row={index}>
            <LengthField
              autoFocus={autoFocus && index === 0}
              label={index === 0 ? name : `${name}, reading ${index + 1}`}
              hideLabel={index > 0}
              help={index === 0 ? ((isDevice ? onDevice : undefined) ?? how) : undefined}
              unit={unit}
              value={detail ? detail.value : (entry as string | number | undefined)}
              range={readingRanges[reading]}
              division={division}
              onChange={typed =>
                set(index, typed === undefined ? undefined : detail ? { ...detail, value: typed } : typed)
              }
            />
          </div>
        )
      })}
      {taken.length > 0 && (
        <div className="flex flex-wrap items-center gap-x-3">
          <Button
            look="quiet"
            className="!px-1 text-sm"
            disabled={rows > taken.length}
            onClick={() => {
              flushSync(() => setRowsAsked(taken.length + 1))
              // The new row is there to be typed in.
              list.current?.querySelector<HTMLElement>(`[data-row="${taken.length}"] input`)?.focus()
            }}
          >
            <Plus className="size-4" aria-hidden /> Another reading of {name.toLowerCase()}
          </Button>
          <StateChoice
            name={name}
            taken={taken}
            onChange={next =>
              change(`state.${thing}.${reading}`, current =>
                changeThing(current, thing, object => withReadings(object, reading, next)),
              )
            }
          />
          {spread !== undefined && spread > 0 && (
            <span className="text-sm text-soft">
              sure to ± <Fractions text={saySpread(spread, unit)} />
            </span>
          )}
        </div>
      )}
      {found.map(finding => (
        <FindingNote
          key={finding.code}
          finding={finding}
          unit={unit}
          onRepair={repair =>
            repair.kind === 'measure'
              ? focusReading(repair.reading)
              : change(oneStep, current => applyRepair(current, repair))
          }
        />
      ))}
      {!isGuest && found.some(({ code }) => misread.has(code)) && (
        <Link className="inline-flex text-sm text-thread underline" to="/practice">
          Practise reading a tape
        </Link>
      )}
    </div>
  )
})

/** What a misread tape does again and again. */
const misread: ReadonlySet<FindingCode> = new Set<FindingCode>([
  'wrap-disagrees',
  'wrap-impossible',
  'readings-spread',
])

interface StateChoiceProps {
  readonly name: string
  readonly taken: readonly TypedReading[]
  readonly onChange: (taken: TypedReading[]) => void
}

/** In what state the thing was measured: one answer for the readings that are taken together. */
function StateChoice({ name, taken, onChange }: StateChoiceProps) {
  const [first] = taken
  const state = typeof first === 'object' ? first.state : undefined
  return (
    <select
      aria-label={`State for ${name.toLowerCase()}`}
      className="min-h-7 max-w-full rounded-md border border-transparent bg-transparent py-0.5 text-sm text-soft hover:border-rule"
      value={state ?? ''}
      onChange={event =>
        onChange(taken.map(entry => inState(entry, event.target.value as ReadingState | '')))
      }
    >
      <option value="">measured as it is used</option>
      {readingStates.map(known => (
        <option key={known} value={known}>
          measured {readingStateWords[known]}
        </option>
      ))}
    </select>
  )
}

/** A reading that says no more than its value is written as the value alone. */
function inState(entry: TypedReading, state: ReadingState | ''): TypedReading {
  const { state: _before, ...detail } = typeof entry === 'object' ? entry : { value: entry }
  if (state !== '') return { ...detail, state }
  return 'about' in detail ? detail : detail.value
}

/** The thing with one reading put in place, or taken out. */
function withReading(
  thing: TypedObject,
  key: ReadingKey,
  index: number,
  entry: TypedReading | undefined,
): TypedObject {
  const list = [...(thing.readings?.[key] ?? [])]
  if (entry === undefined) list.splice(index, 1)
  else list[index] = entry
  return withReadings(thing, key, list)
}

function withReadings(thing: TypedObject, key: ReadingKey, list: TypedReading[]): TypedObject {
  const { [key]: _before, ...others } = thing.readings ?? {}
  return { ...thing, readings: list.length > 0 ? { ...others, [key]: list } : others }
}

function focusReading(reading: ReadingKey): void {
  document.querySelector<HTMLElement>(`[data-reading="${reading}"] input`)?.focus()
}
