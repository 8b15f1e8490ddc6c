import { Download, Printer, Redo2, Undo2 } from 'lucide-react'
import { memo } from 'react'
import { Link } from 'react-router'
import { useDraftChanges } from '../../drafts/use-draft'
import { SavingState } from '../../parts/SavingState'
import { buttonLooks, buttonShape } from '../../parts/Button'
import { IconButton } from '../../parts/IconButton'
import { useCover, type CoverInHand } from './cover-context'

/** The cover's name, how its saving stands, and what can be done with the whole. */
export function WorkspaceHeader() {
  const { id, draft, file, change } = useCover()
  const { undo, redo } = useDraftChanges('cover', id)
  const name = file.name ?? ''
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 pt-3 sm:px-6">
      <h1 className="sr-only">{name || 'Cover without a name'}</h1>
      <NameField name={name} change={change} />
      <SavingState draft={draft} className="max-sm:flex-1" />
      <div className="flex items-center gap-1">
        <IconButton icon={Undo2} large disabled={draft.past.length === 0} onClick={undo} label="Undo" />
        <IconButton icon={Redo2} large disabled={draft.future.length === 0} onClick={redo} label="Redo" />
        <WaysOut id={id} />
      </div>
    </div>
  )
}

/** Not drawn anew while lengths are typed. */
const NameField = memo(function NameField({ name, change }: NameFieldProps) {
  return (
    <input
      aria-label="Name of the cover"
      className="-outline-offset-2 min-w-0 flex-1 rounded-md max-sm:basis-full border border-transparent bg-transparent px-1 py-1 text-2xl font-semibold tracking-tight hover:border-rule"
      maxLength={120}
      value={name}
      placeholder="Name this cover"
      onChange={event => change('name', current => ({ ...current, name: event.target.value }))}
    />
  )
})

interface NameFieldProps extends Pick<CoverInHand, 'change'> {
  readonly name: string
}

/** To paper and files, and to the table: the same whatever is typed. */
const WaysOut = memo(function WaysOut({ id }: { readonly id: string }) {
  return (
    <>
      <Link
        to={`/covers/${id}/take-away`}
        className={`${buttonShape} ${buttonLooks.quiet}`}
        aria-label="Paper and files"
        title="Paper and files"
      >
        <Download className="size-5" aria-hidden />
      </Link>
      <Link to={`/covers/${id}/cutting-list`} className={`${buttonShape} ${buttonLooks.plain}`}>
        <Printer className="size-4" aria-hidden /> Cutting list
      </Link>
    </>
  )
})
