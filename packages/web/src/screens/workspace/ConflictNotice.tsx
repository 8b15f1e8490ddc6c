import type { CoverRow } from '@snowdrift/core'
import { useAppDispatch } from '../../app/store'
import type { Draft } from '../../drafts/draft'
import { keptMine, tookTheirs } from '../../drafts/drafts-slice'
import { Button } from '../../parts/Button'
import { listDifferences } from './differences'

interface ConflictNoticeProps {
  readonly draft: Draft
  readonly current: CoverRow
}

/** Two windows changed one cover: what differs, and the choice. Either way undo brings the other back. */
export function ConflictNotice({ draft, current }: ConflictNoticeProps) {
  const dispatch = useAppDispatch()
  const differences = listDifferences(draft.file, current.file)
  return (
    <section
      role="alert"
      aria-label="Changed elsewhere"
      className="border-b border-caution bg-surface px-4 py-4 sm:px-6"
    >
      <h2 className="text-lg font-semibold">This cover was changed in another window</h2>
      <table className="mt-2 text-left">
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
              <td className="pr-6 font-medium">{mine}</td>
              <td className="font-medium">{theirs}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-3 flex flex-wrap gap-3">
        <Button look="act" onClick={() => dispatch(keptMine(draft.id))}>
          Keep what is here
        </Button>
        <Button onClick={() => dispatch(tookTheirs(draft.id))}>Take what is there</Button>
      </div>
    </section>
  )
}
