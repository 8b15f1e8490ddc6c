import {
  changeUnit,
  defaultTapeDivision,
  listThings,
  type CoverFile,
  type ReadingKey,
  type Shared,
} from '@snowdrift/core'
import { useState } from 'react'
import { useSendMeasurementsMutation } from '../../api/shares-api'
import { Button } from '../../parts/Button'
import { NoteField } from '../../parts/NoteField'
import { Toggle } from '../../parts/Toggle'
import { WrittenUnit } from '../../parts/written-unit'
import { plannedOf } from '../../views/planned'
import { unitWords } from '../../views/unit-words'
import { MeasureGuide } from '../workspace/measure/MeasureGuide'
import { ReadingList } from '../workspace/measure/ReadingList'
import { readingsFor } from '../workspace/measure/readings-asked'
import { Trouble } from '../../parts/Trouble'

interface SharedMeasureProps {
  readonly token: string
  readonly shared: Extract<Shared, { kind: 'measure' }>
}

/** Asks whoever has the thing to measure it: in their unit, with the drawings and the checks of the workshop. */
export function SharedMeasure({ token, shared }: SharedMeasureProps) {
  const [file, setFile] = useState(shared.file)
  const [note, setNote] = useState('')
  const [focused, setFocused] = useState<ReadingKey>('height')
  const [send, { data: sent, error, isLoading }] = useSendMeasurementsMutation()
  const unit = file.unit ?? 'in'
  const [thing] = listThings(file)
  const readings = thing?.readings ?? {}
  const measured = {
    file,
    unit,
    planned: plannedOf(file),
    division: defaultTapeDivision(unit),
    change: (_key: string, make: (before: CoverFile) => CoverFile) => setFile(make),
  }
  const asked = readingsFor(file, thing)
  return (
    <div className="grid max-w-2xl gap-6">
      <div className="grid gap-2">
        <h1 className="text-3xl font-semibold tracking-tight">To measure for {file.name || 'a cover'}</h1>
        <p className="text-soft">
          Close it, knock it upright on the table, and lay a tape on it that begins at nought. What you cannot
          reach you leave empty.
        </p>
        {shared.isAnswered && !sent && (
          <p>Measurements were sent already. What you send now takes their place.</p>
        )}
      </div>
      <div className="justify-self-start">
        <Toggle
          label="Your tape is in"
          value={unit}
          choices={unitWords}
          onChange={next => setFile(before => changeUnit(before, next))}
        />
      </div>
      <WrittenUnit value={unit}>
        <div className="grid gap-6 sm:grid-cols-[1fr_11rem]">
          <div className="order-2 grid content-start gap-5 sm:order-1">
            {asked.map(reading => (
              <ReadingList
                key={reading}
                measured={measured}
                thing={0}
                reading={reading}
                isGuest
                autoFocus={reading === asked[0]}
                onFocus={setFocused}
              />
            ))}
            <NoteField label="Anything to mind" value={note} onChange={setNote} />
          </div>
          <MeasureGuide reading={focused} />
        </div>
      </WrittenUnit>
      <div className="grid justify-items-start gap-3">
        <Button
          look="act"
          disabled={isLoading || Object.keys(readings).length === 0}
          onClick={() => void send({ token, answer: { unit, readings, note } })}
        >
          Send the measurements
        </Button>
        <Trouble error={error} />
        {sent && !error && (
          <p role="status" className="text-good">
            Sent. Thank you. Should one be wrong, mend it here and send again.
          </p>
        )}
      </div>
    </div>
  )
}
