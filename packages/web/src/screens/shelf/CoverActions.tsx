import type { CoverRow, ShelfEntry } from '@snowdrift/core'
import { describeError } from '../../api/describe-error'
import { CheckField } from '../../parts/CheckField'
import { DayField } from '../../parts/DayField'
import { Modal } from '../../parts/Modal'
import { useMarks } from '../../views/use-mark'
import { ForAnotherThing } from './ForAnotherThing'

interface CoverActionsProps {
  readonly entry: ShelfEntry
  readonly row: CoverRow
  readonly onClose: () => void
}

/** What is done with a cover as a whole: by when it is wanted, where it is, another one like it. */
export default function CoverActions({ entry, row, onClose }: CoverActionsProps) {
  const marks = useMarks()
  const { due, archived, worn } = marks.of(entry.id)
  return (
    <Modal title={entry.name || 'Cover without a name'} open onClose={onClose}>
      <div className="grid gap-5">
        {marks.error !== undefined && <p role="alert">{describeError(marks.error)}</p>}
        <label className="grid max-w-44 gap-1 font-medium">
          Wanted by
          <DayField
            value={due}
            onChange={next => void marks.change(entry.id, { due: next, planned: next !== null })}
          />
        </label>
        <div className="grid gap-1">
          <CheckField
            label="In use"
            checked={worn}
            onChange={isWorn => void marks.change(entry.id, { worn: isWorn })}
          />
          <CheckField
            label="Put away: not shown on the shelf"
            checked={archived}
            onChange={isArchived =>
              void marks.change(entry.id, { archived: isArchived, ...(isArchived && { planned: false }) })
            }
          />
        </div>
        <ForAnotherThing row={row} />
      </div>
    </Modal>
  )
}
