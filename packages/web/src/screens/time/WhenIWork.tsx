import { useSettingsQuery } from '../../api/api'
import { settingsId, standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import { SavingState } from '../../parts/SavingState'
import { HoursField } from './HoursField'

/** The sessions of a usual week, and the days that are otherwise. */
export function WhenIWork() {
  const { data } = useSettingsQuery()
  const draft = useDraft('settings', settingsId, data && standingOf('settings', data))
  const { change } = useDraftChanges('settings', settingsId)
  if (!draft) return null
  return (
    <section aria-labelledby="when" className="grid content-start gap-3">
      <div className="flex items-baseline gap-3">
        <h2 id="when" className="flex-1 text-xl font-semibold">
          When I work
        </h2>
        <SavingState draft={draft} label="Saving of the sessions" />
      </div>
      {(['sessions', 'exceptions'] as const).map(name => (
        <HoursField
          key={name}
          name={name}
          value={draft.body[name]}
          onChange={typed => change(name, before => ({ ...before, [name]: typed }))}
        />
      ))}
    </section>
  )
}
