import {
  changeThing,
  readingRanges,
  readingWords,
  type ReadingKey,
  type TypedObject,
  type TypedReading,
} from '@snowdrift/core'
import { useState } from 'react'
import { oneStep } from '../../../drafts/draft'
import { Button } from '../../../parts/Button'
import { LengthField } from '../../../parts/LengthField'
import { Unfold } from '../../../parts/Unfold'
import { useCover } from '../cover-context'

const marks: readonly ReadingKey[] = ['wrap', 'height']

/** The jig way: a cloth is wrapped round the thing, marked, taken off and measured lying flat. */
export function WrappedCloth({ thing }: { readonly thing: number }) {
  const { unit, division, change } = useCover()
  const [typed, setTyped] = useState<Readonly<Partial<Record<ReadingKey, string>>>>({})
  const taken = marks.filter(key => typed[key] !== undefined)
  const take = () => {
    change(oneStep, current =>
      changeThing(current, thing, object =>
        taken.reduce((known, key) => withMark(known, key, typed[key] ?? ''), object),
      ),
    )
    setTyped({})
  }
  return (
    <Unfold data-jig summary="Off a wrapped cloth">
      {() => (
        <div className="mt-3 grid gap-4">
          <ol className="list-decimal pl-5 text-soft">
            <li>
              Stand the closed book upright and wrap a thin cloth round it, as snug as the cover is to be.
            </li>
            <li>Mark both fore-edges, and the top and bottom edge of a board.</li>
            <li>Take it off, lay it flat without pulling, and measure from mark to mark.</li>
          </ol>
          <div className="flex flex-wrap gap-4">
            {marks.map(key => (
              <LengthField
                key={key}
                label={key === 'wrap' ? 'Fore-edge to fore-edge' : 'Top to bottom'}
                help={`counts as ${readingWords[key].name.toLowerCase()}`}
                unit={unit}
                value={typed[key]}
                range={readingRanges[key]}
                division={division}
                onChange={text =>
                  setTyped(({ [key]: _before, ...others }) =>
                    text === undefined ? others : { ...others, [key]: text },
                  )
                }
              />
            ))}
          </div>
          <div>
            <Button disabled={taken.length === 0} onClick={take}>
              Add to the readings
            </Button>
          </div>
        </div>
      )}
    </Unfold>
  )
}

/** One more reading of the measurement, taken off the cloth. */
function withMark(object: TypedObject, key: ReadingKey, value: string): TypedObject {
  const reading: TypedReading = { value, state: 'off-a-wrapped-piece' }
  const known = object.readings?.[key] ?? []
  return { ...object, readings: { ...object.readings, [key]: [...known, reading] } }
}
