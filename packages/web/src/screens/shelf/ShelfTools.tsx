import { coverStates, families, type ShelfEntry } from '@snowdrift/core'
import { controlLook } from '../../parts/Field'
import { CheckField } from '../../parts/CheckField'
import { everything, orders, orderWords, stateWords, type Sought } from './find-on-shelf'

interface ShelfToolsProps {
  readonly entries: readonly ShelfEntry[]
  readonly sought: Sought
  readonly found: number
  readonly onSeek: (part: Partial<Sought>) => void
}

/** Finds on the shelf, and puts in order. */
export function ShelfTools({ entries, sought, found, onSeek }: ShelfToolsProps) {
  const used = new Set(entries.map(({ family }) => family))
  const archived = entries.some(entry => entry.archived)
  const isSought = sought.text !== '' || sought.state !== '' || sought.family !== ''
  const select = `${controlLook} sm:max-w-52`
  return (
    <div role="search" className="mb-6 grid grid-cols-2 items-center gap-3 sm:flex sm:flex-wrap">
      <input
        type="search"
        aria-label="Find on the shelf"
        placeholder="Name, thing or cloth"
        className={`${controlLook} sm:max-w-64`}
        value={sought.text}
        onChange={event => onSeek({ text: event.target.value })}
      />
      <select
        aria-label="How far it is"
        className={select}
        value={sought.state}
        onChange={event => onSeek({ state: event.target.value as Sought['state'] })}
      >
        <option value="">any state</option>
        {coverStates.map(state => (
          <option key={state} value={state}>
            {stateWords[state]}
          </option>
        ))}
      </select>
      <select
        aria-label="Way of making"
        className={select}
        value={sought.family}
        onChange={event => onSeek({ family: event.target.value })}
      >
        <option value="">any way of making</option>
        {families
          .filter(({ id }) => used.has(id))
          .map(({ id, words }) => (
            <option key={id} value={id}>
              {words.name}
            </option>
          ))}
      </select>
      <select
        aria-label="Order"
        className={select}
        value={sought.order}
        onChange={event => onSeek({ order: event.target.value as Sought['order'] })}
      >
        {orders.map(order => (
          <option key={order} value={order}>
            {orderWords[order]}
          </option>
        ))}
      </select>
      {(archived || sought.archived) && (
        <CheckField
          label="put away"
          checked={sought.archived}
          onChange={isArchived => onSeek({ archived: isArchived })}
        />
      )}
      <span className="text-soft" role="status">
        {isSought && `${found} of ${entries.length}`}
      </span>
      {isSought && (
        <button className="min-h-9 text-thread underline" onClick={() => onSeek(everything)}>
          Show all
        </button>
      )}
    </div>
  )
}
