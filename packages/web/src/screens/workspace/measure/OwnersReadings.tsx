import {
  changeThing,
  readingWords,
  sayObjectUnit,
  textOfReading,
  type OwnersAnswer,
  type ReadingKey,
  type ShareRow,
  type TypedReading,
} from '@snowdrift/core'
import { useClearAnswerMutation, useSharesQuery } from '../../../api/shares-api'
import { oneStep } from '../../../drafts/draft'
import { Button } from '../../../parts/Button'
import { Fractions } from '../../../parts/Fractions'
import { typeset } from '../../../views/typeset'
import { unitWords } from '../../../views/unit-words'
import { useCover } from '../cover-context'

/** What the owner of the thing sent through a link: shown, and taken only when the maker says so. */
export function OwnersReadings() {
  const { id } = useCover()
  const { data = [] } = useSharesQuery(id)
  return data.flatMap(share =>
    share.answer ? [<Sent key={share.id} share={share} answer={share.answer} />] : [],
  )
}

function Sent({ share, answer }: { readonly share: ShareRow; readonly answer: OwnersAnswer }) {
  const { change } = useCover()
  const [clear, { isLoading }] = useClearAnswerMutation()
  const { unit, readings, note, at } = answer
  const take = () => {
    change(oneStep, file =>
      changeThing(file, share.thing, thing => {
        const said = sayObjectUnit({ ...thing, readings }, unit)
        return { ...thing, readings: { ...thing.readings, ...said.readings } }
      }),
    )
    void clear(share.id)
  }
  return (
    <section aria-label="What its owner sent" className="grid gap-2 border-l-3 border-thread py-1 pl-3">
      <p>
        Its owner measured it on {new Date(at).toLocaleDateString(undefined, { dateStyle: 'long' })}, in{' '}
        {unitWords[unit]}:
      </p>
      <ul className="flex flex-wrap gap-x-5">
        {(Object.entries(readings) as [ReadingKey, TypedReading[]][]).map(([key, taken]) => (
          <li key={key}>
            <span className="text-soft">{readingWords[key].name}</span>{' '}
            <Fractions text={typeset(taken.map(textOfReading).join(', '))} />
          </li>
        ))}
      </ul>
      {note && <p className="text-soft">“{note}”</p>}
      <div className="flex flex-wrap gap-3">
        <Button look="act" disabled={isLoading} onClick={take}>
          Take these readings
        </Button>
        <Button look="quiet" disabled={isLoading} onClick={() => void clear(share.id)}>
          Leave them
        </Button>
      </div>
    </section>
  )
}
