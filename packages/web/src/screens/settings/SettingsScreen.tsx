import {
  customary,
  defaultTapeDivision,
  mm,
  units,
  type SettingsBody,
  type SettingsRow,
  type Unit,
} from '@snowdrift/core'
import { useState } from 'react'
import { useSettingsQuery } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { chooseTheme, readTheme, themes, type Theme } from '../../app/theme'
import { oneStep, type Draft } from '../../drafts/draft'
import { settingsId, standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import { ConflictNotice } from '../../parts/ConflictNotice'
import { Field, controlLook } from '../../parts/Field'
import { LengthField } from '../../parts/LengthField'
import { SavingState } from '../../parts/SavingState'
import { SelectField } from '../../parts/SelectField'
import { gridChoices } from '../../views/grid-choices'
import { usePageTitle } from '../../views/use-page-title'

const unitWords: Readonly<Record<Unit, string>> = { in: 'inches', cm: 'centimetres', mm: 'millimetres' }
const themeWords: Readonly<Record<Theme, string>> = { system: 'as the device', light: 'light', dark: 'dark' }

/** What new covers begin with, and how things look on this device. */
export function Screen() {
  usePageTitle('Settings')
  const { data, error } = useSettingsQuery()
  const [theme, setTheme] = useState(readTheme)
  return (
    <main className="mx-auto grid w-full max-w-xl gap-8 px-4 py-8 sm:px-8">
      <h1 className="text-3xl font-semibold tracking-tight">Settings</h1>
      {error && <p role="alert">{describeError(error)}</p>}
      {data && <WorkshopSettings settings={data} />}
      <section className="grid gap-4">
        <h2 className="text-xl font-semibold">This device</h2>
        <SelectField
          label="Look"
          value={theme}
          choices={Object.fromEntries(themes.map(name => [name, themeWords[name]])) as Record<Theme, string>}
          onChange={next => {
            chooseTheme(next)
            setTheme(next)
          }}
        />
      </section>
    </main>
  )
}

function WorkshopSettings({ settings }: { readonly settings: SettingsRow }) {
  const draft = useDraft('settings', settingsId, standingOf('settings', settings))
  return draft ? <Workshop draft={draft} /> : null
}

function Workshop({ draft }: { readonly draft: Draft<SettingsBody> }) {
  const changes = useDraftChanges('settings', settingsId)
  const { unit, grid, tapeDivision, seam, currency } = draft.body
  const change = (changed: Partial<SettingsBody>) =>
    changes.change(oneStep, body => ({ ...body, ...changed }))
  return (
    <section className="grid gap-5" aria-label="Workshop">
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="text-xl font-semibold">Workshop</h2>
        <SavingState draft={draft} />
      </div>
      <p className="text-soft">New covers begin with these.</p>
      {draft.conflict && <ConflictNotice what="The settings were" draft={draft} current={draft.conflict} />}
      <SelectField
        label="Unit"
        help="What a bare number means, and what everything is shown in. Customary amounts have a twin in each."
        value={unit}
        choices={Object.fromEntries(units.map(name => [name, unitWords[name]])) as Record<Unit, string>}
        onChange={next => change({ unit: next, grid: null, tapeDivision: null, seam: null })}
      />
      <SelectField
        label="Cutting grid"
        help="Cut sizes are rounded to a mark that scissors and ruler can follow."
        value={grid ?? ''}
        choices={gridChoices({ reckoned: unit, shown: unit, stated: grid ?? '' })}
        onChange={next => change({ grid: next || null })}
      />
      <LengthField
        whenLeft
        label="Tape division"
        help="The finest mark on your tape. The arrow keys step by it, and it says how sure a reading is."
        unit={unit}
        value={tapeDivision ?? undefined}
        fallback={defaultTapeDivision(unit)}
        division={mm(0.5)}
        range={{ min: mm(0.1), max: mm(10) }}
        onChange={typed => change({ tapeDivision: typed ?? null })}
      />
      <LengthField
        whenLeft
        label="Seam allowance"
        help="Left empty, each way of making brings its own."
        unit={unit}
        value={seam ?? undefined}
        fallback={customary(1 / 4, unit)}
        division={defaultTapeDivision(unit)}
        range={{ min: mm(1), max: mm(50) }}
        onChange={typed => change({ seam: typed ?? null })}
      />
      <Field label="Currency" help="Written behind every price: €, fr., kr.">
        {({ id, describedBy }) => (
          <input
            id={id}
            aria-describedby={describedBy}
            className={`${controlLook} max-w-28`}
            maxLength={8}
            value={currency}
            onChange={event =>
              changes.change('currency', body => ({ ...body, currency: event.target.value }))
            }
          />
        )}
      </Field>
    </section>
  )
}
