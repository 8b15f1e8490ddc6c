import { useAppDispatch } from '../app/store'
import { wordsFor } from '../drafts/difference-words'
import { listDifferences } from '../drafts/differences'
import type { Draft } from '../drafts/draft'
import { keptMine, tookTheirs } from '../drafts/drafts-slice'
import { kindOf, type Standing } from '../drafts/kinds'
import { useWorkshopUnit } from '../views/use-workshop-unit'
import { Button } from './Button'
import { Fractions } from './Fractions'

interface ConflictNoticeProps {
  /** What was changed, as the beginning of a sentence: “This cover was”. */
  readonly what: string
  readonly draft: Draft
  readonly current: Standing<unknown>
}

/** Two windows changed the same: what differs, and the choice. Either way undo brings the other back. */
export function ConflictNotice({ what, draft, current }: ConflictNoticeProps) {
  const dispatch = useAppDispatch()
  const unit = useWorkshopUnit(undefined)
  const words = wordsFor(kindOf(draft.ref), draft.body, unit)
  const differences = listDifferences(draft.body, current.body, words)
  return (
    <section
      role="alert"
      aria-label="Changed elsewhere"
      className="border-b border-caution bg-surface px-4 py-4 sm:px-6"
    >
      <h2 className="text-lg font-semibold">{what} changed in another window</h2>
      <table className="mt-2 text-left wrap-anywhere">
        <thead className="text-sm text-soft">
          <tr>
            <th className="pr-6 font-normal">What differs</th>
            <th className="pr-6 font-normal">Here</th>
            <th className="font-normal">There</th>
          </tr>
        </thead>
        <tbody>
          {differences.map(({ path, mine, theirs }) => (
            <tr key={path}>
              <th className="pr-6 font-normal">{path}</th>
              <td className="pr-6 font-medium">
                <Fractions text={mine} />
              </td>
              <td className="font-medium">
                <Fractions text={theirs} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-3 flex flex-wrap gap-3">
        <Button look="act" onClick={() => dispatch(keptMine(draft.ref))}>
          Keep what is here
        </Button>
        <Button onClick={() => dispatch(tookTheirs(draft.ref))}>Take what is there</Button>
      </div>
    </section>
  )
}
