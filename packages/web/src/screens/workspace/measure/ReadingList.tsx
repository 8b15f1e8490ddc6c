import {
  applyRepair,
  deriveUncertainty,
  readingRanges,
  readingStates,
  readingStateWords,
  readingWords,
  type Cover,
  type CoverFile,
  type ReadingKey,
  type ReadingState,
  type TypedReading,
} from '@snowdrift/core'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { Button } from '../../../parts/Button'
import { controlLook } from '../../../parts/Field'
import { FindingNote } from '../../../parts/FindingNote'
import { Thickness } from '../../../parts/Length'
import { LengthField } from '../../../parts/LengthField'
import { findingsAbout, useCover } from '../cover-context'

interface ReadingListProps {
  readonly reading: ReadingKey
  readonly onFocus: () => void
}

/** One measurement: its readings, each as typed, and what is to be said of them. */
export function ReadingList({ reading, onFocus }: ReadingListProps) {
  const { file, planned, unit, division, change } = useCover()
  const [rowsAsked, setRowsAsked] = useState(1)
  const taken = file.object?.readings?.[reading] ?? []
  const { name, how } = readingWords[reading]
  const rows = Math.max(rowsAsked, taken.length, 1)
  const set = (index: number, entry: TypedReading | undefined) =>
    change(`reading.${reading}.${index}`, current => withReading(current, reading, index, entry))
  return (
    <div className="grid gap-2" data-reading={reading} onFocus={onFocus}>
      {Array.from({ length: rows }, (_, index) => {
        const entry = taken[index]
        const detail = typeof entry === 'object' ? entry : undefined
        return (
          <div key={index} className="group">
            <LengthField
              label={index === 0 ? name : `${name}, reading ${index + 1}`}
              hideLabel={index > 0}
              help={index === 0 ? how : undefined}
              unit={unit}
              value={detail ? detail.value : (entry as string | number | undefined)}
              range={readingRanges[reading]}
              division={division}
              onChange={typed =>
                set(index, typed === undefined ? undefined : detail ? { ...detail, value: typed } : typed)
              }
            />
            {entry !== undefined && (
              <StateOfReading name={name} index={index} entry={entry} onChange={next => set(index, next)} />
            )}
          </div>
        )
      })}
      {taken.length > 0 && (
        <div className="flex flex-wrap items-center gap-x-3">
          <Button
            look="quiet"
            className="!px-1 text-sm"
            disabled={rows > taken.length}
            onClick={() => setRowsAsked(taken.length + 1)}
          >
            <Plus className="size-4" aria-hidden /> Another reading of {name.toLowerCase()}
          </Button>
          <Sureness cover={planned.cover} reading={reading} />
        </div>
      )}
      {findingsAbout(planned, `reading:${reading}`).map(finding => (
        <FindingNote
          key={finding.code}
          finding={finding}
          unit={unit}
          onRepair={repair =>
            repair.kind === 'measure'
              ? focusReading(repair.reading)
              : change('repair', current => applyRepair(current, repair))
          }
        />
      ))}
    </div>
  )
}

interface StateOfReadingProps {
  readonly name: string
  readonly index: number
  readonly entry: TypedReading
  readonly onChange: (entry: TypedReading) => void
}

/** In what state the thing was measured; left open unless it matters. */
function StateOfReading({ name, index, entry, onChange }: StateOfReadingProps) {
  const { value, ...rest } = typeof entry === 'object' ? entry : { value: entry }
  const state = 'state' in rest ? rest.state : undefined
  const choose = (next: ReadingState | '') => {
    const about = 'about' in rest && rest.about ? { about: true } : {}
    onChange(
      next === '' ? ('about' in about ? { value, ...about } : value) : { value, ...about, state: next },
    )
  }
  return (
    <select
      aria-label={`State for ${name.toLowerCase()}${index > 0 ? `, reading ${index + 1}` : ''}`}
      className={`${controlLook} mt-1 ${state ? '' : 'not-group-focus-within:sr-only'} !min-h-7 !w-auto border-transparent !bg-transparent !py-0.5 text-sm text-soft hover:border-rule`}
      value={state ?? ''}
      onChange={event => choose(event.target.value as ReadingState | '')}
    >
      <option value="">measured as it is used</option>
      {readingStates.map(name => (
        <option key={name} value={name}>
          measured {readingStateWords[name]}
        </option>
      ))}
    </select>
  )
}

function Sureness({ cover, reading }: { readonly cover: Cover | undefined; readonly reading: ReadingKey }) {
  const uncertainty = cover && deriveUncertainty(cover.object, reading)
  if (!uncertainty) return null
  return (
    <span className="text-sm text-soft">
      sure to ± <Thickness value={uncertainty} />
    </span>
  )
}

/** The file with one reading put in place, or taken out. */
function withReading(
  file: CoverFile,
  key: ReadingKey,
  index: number,
  entry: TypedReading | undefined,
): CoverFile {
  const object = file.object ?? { kind: 'hardcover' }
  const list = [...(object.readings?.[key] ?? [])]
  if (entry === undefined) list.splice(index, 1)
  else list[index] = entry
  const { [key]: _before, ...others } = object.readings ?? {}
  return { ...file, object: { ...object, readings: list.length > 0 ? { ...others, [key]: list } : others } }
}

function focusReading(reading: ReadingKey): void {
  document.querySelector<HTMLElement>(`[data-reading="${reading}"] input`)?.focus()
}
