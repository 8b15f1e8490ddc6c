import {
  absolute,
  coarsestTape,
  defaultTapeDivision,
  divisionFromPractice,
  drawReading,
  formatLength,
  gradeReading,
  parseLength,
  readingsToTell,
  shortest,
  subtract,
  whatItDoes,
  type Length as CoreLength,
  type ReadingGrade,
  type SettingsRow,
  type Unit,
} from '@snowdrift/core'
import { useState, type SyntheticEvent } from 'react'
import { oneStep } from '../../drafts/draft'
import { settingsId, standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import { Button } from '../../parts/Button'
import { controlLook, Field } from '../../parts/Field'
import { Length } from '../../parts/Length'
import { Tape } from '../../views/Tape'

/** A mark on a drawn tape, in the maker’s own unit and division: read it, and see what a misread does to the fit. */
export function ReadTheTape({ settings }: { readonly settings: SettingsRow }) {
  const { unit } = settings
  const division = divisionOf(settings)
  const [there, setThere] = useState(() => drawReading(Math.random, unit, division))
  const [typed, setTyped] = useState('')
  const [grade, setGrade] = useState<ReadingGrade>()
  const [offs, setOffs] = useState<readonly CoreLength[]>([])
  const answer = (event: SyntheticEvent) => {
    event.preventDefault()
    if (grade) {
      setThere(drawReading(Math.random, unit, division))
      setTyped('')
      setGrade(undefined)
      return
    }
    const read = parseLength(typed, unit)
    if (!read.ok) return
    setGrade(gradeReading(there, read.length, unit, division))
    setOffs(before => [...before, subtract(read.length, there)])
  }
  return (
    <form className="grid gap-4" onSubmit={answer}>
      <p>Where does the red line stand?</p>
      <div className="[&_svg]:h-24 [&_svg]:w-full" data-there={formatLength(there, unit)}>
        <Tape reading={there} unit={unit} division={division} />
      </div>
      <Field label="It reads">
        {({ id }) => (
          <input
            id={id}
            className={`${controlLook} max-w-40 text-lg`}
            autoComplete="off"
            value={typed}
            readOnly={grade !== undefined}
            onChange={event => setTyped(event.target.value)}
          />
        )}
      </Field>
      {grade && <Grade grade={grade} there={there} unit={unit} />}
      <div>
        <Button look="act" type="submit" disabled={!parseLength(typed, unit).ok}>
          {grade ? 'Next' : 'Read'}
        </Button>
      </div>
      <p className="text-soft" data-score>
        {offs.length} read
        {offs.length < readingsToTell && `; after ${readingsToTell} they say how sure your eye is`}.
      </p>
      <YourEye offs={offs} division={division} settings={settings} />
    </form>
  )
}

function divisionOf({ unit, tapeDivision }: SettingsRow): CoreLength {
  const read = tapeDivision === null ? undefined : parseLength(tapeDivision, unit)
  return read?.ok ? read.length : defaultTapeDivision(unit)
}

interface GradeProps {
  readonly grade: ReadingGrade
  readonly there: CoreLength
  readonly unit: Unit
}

function Grade({ grade, there, unit }: GradeProps) {
  if (grade.kind === 'right')
    return (
      <p role="status" className="text-lg text-good">
        Right: <Length value={there} unit={unit} />.
      </p>
    )
  const tight = whatItDoes(grade.off) === 'tight'
  const size = absolute(grade.off)
  return (
    <div role="status" className="grid gap-1">
      <p className="text-lg text-caution">
        It is <Length value={there} unit={unit} />; that is <Length value={size} unit={unit} /> too{' '}
        {tight ? 'small' : 'large'}.
      </p>
      {grade.kind === 'eighth' && <p>The commonest misreading: count from the last long mark.</p>}
      <p className="text-soft">
        A cover made from it comes out <Length value={size} unit={unit} />{' '}
        {tight ? 'too tight: it may not close.' : 'slack: it slips.'} Read as a width, twice that.
      </p>
    </div>
  )
}

interface YourEyeProps {
  readonly offs: readonly CoreLength[]
  readonly division: CoreLength
  readonly settings: SettingsRow
}

/** What the readings say of the eye; taken over as the tape’s division only where the maker likes. */
function YourEye({ offs, division, settings }: YourEyeProps) {
  const draft = useDraft('settings', settingsId, standingOf('settings', settings))
  const { change } = useDraftChanges('settings', settingsId)
  const told = divisionFromPractice(offs)
  if (told === undefined) return null
  // no tape is coarser: who is further off counts from the wrong place, which no mark makes sure
  const found = shortest(told, coarsestTape)
  if (found <= division) return <p data-eye>Your eye is as sure as your tape: nothing needs to change.</p>
  const { unit } = settings
  const words = formatLength(found, unit)
  const isTaken = draft?.body.tapeDivision === words
  return (
    <div className="grid gap-2" data-eye>
      <p>
        You read as surely as on a tape with marks every <Length value={found} unit={unit} />. Chances can be
        reckoned with that.
      </p>
      <div>
        <Button
          disabled={isTaken}
          onClick={() => change(oneStep, before => ({ ...before, tapeDivision: words }))}
        >
          {isTaken ? 'Reckoned so' : 'Reckon with it'}
        </Button>
      </div>
    </div>
  )
}
