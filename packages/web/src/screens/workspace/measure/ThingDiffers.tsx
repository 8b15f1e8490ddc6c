import { oneStep } from '../../../drafts/draft'
import { sayObjectUnit, type TypedObject } from '@snowdrift/core'
import { useSaveThingMutation, useThingQuery } from '../../../api/api'
import { describeError } from '../../../api/describe-error'
import { Button } from '../../../parts/Button'
import { useCover } from '../cover-context'

/** A cover keeps the readings it was planned from; where the thing on the shelf has others, the maker says which hold. */
export function ThingDiffers() {
  const { draft, file, unit, change } = useCover()
  const { thingId } = draft.body
  const { data: thing } = useThingQuery(thingId ?? '', { skip: thingId === null })
  const [saveThing, { error, isLoading }] = useSaveThingMutation()
  if (
    !thing ||
    !file.object ||
    isSame(sayObjectUnit(file.object, unit), sayObjectUnit(thing.object, thing.unit))
  )
    return null
  const { id, version, name } = thing
  const object = file.object
  const hasReadings = Object.keys(thing.object.readings ?? {}).length > 0
  return (
    <div className="flex flex-wrap items-center gap-3 border-l-3 border-thread py-1 pl-3">
      <p>
        {hasReadings ? 'These readings differ from those kept for' : 'These readings are not kept yet for'}{' '}
        <strong>{name}</strong>.
      </p>
      <Button
        disabled={isLoading}
        onClick={() => void saveThing({ id, version, body: { name, unit, object } })}
      >
        Keep these with it
      </Button>
      {hasReadings && (
        <Button
          look="quiet"
          onClick={() =>
            change(oneStep, current => ({
              ...current,
              object: thing.unit === unit ? thing.object : sayObjectUnit(thing.object, thing.unit),
            }))
          }
        >
          Take its readings
        </Button>
      )}
      {error && <p role="alert">{describeError(error)}</p>}
    </div>
  )
}

function isSame(one: TypedObject, other: TypedObject): boolean {
  return canonical(one) === canonical(other)
}

/** The tape that a workshop lends to a new cover is no difference. */
function canonical({ tapeDivision: _tape, readings = {}, ...rest }: TypedObject): string {
  const sorted = (record: object) =>
    JSON.stringify(Object.entries(record).sort(([a], [b]) => a.localeCompare(b)))
  return sorted({ spine: 'flat', foldsBack: true, ...rest }) + sorted(readings)
}
