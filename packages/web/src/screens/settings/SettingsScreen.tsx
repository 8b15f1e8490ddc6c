import type { SettingsBody, SettingsRow } from '@snowdrift/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useHereQuery, useSettingsQuery } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { chooseTheme, readTheme, themes, type Theme } from '../../app/theme'
import type { Draft } from '../../drafts/draft'
import { settingsId, standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import { ConflictNotice } from '../../parts/ConflictNotice'
import { SavingState } from '../../parts/SavingState'
import { SelectField } from '../../parts/SelectField'
import { usePageTitle } from '../../views/use-page-title'
import { ArchiveSection } from './ArchiveSection'
import { PersonSection } from './PersonSection'
import { PhonesSection } from './PhonesSection'
import { SettingInput, settingKeys, type SettingKey } from './SettingInput'

/** Settings of the making, apart from those that new covers begin with. */
const atTheTable: ReadonlySet<SettingKey> = new Set<SettingKey>([
  'machine',
  'evenFeedFoot',
  'zipFoot',
  'iron',
  'rotaryCutter',
  'hand',
  'level',
  'footLift',
  'punchReach',
  'punchSizes',
  'cutsBoard',
])

/** Set where they are used: on the screens Time and Log. */
const elsewhere: ReadonlySet<SettingKey> = new Set<SettingKey>(['sessions', 'exceptions', 'learning'])

const themeWords: Readonly<Record<Theme, string>> = { system: 'as the device', light: 'light', dark: 'dark' }

/** What new covers begin with, and how things look on this device. */
export function Screen() {
  usePageTitle('Settings')
  const { data, error } = useSettingsQuery()
  const { data: here } = useHereQuery()
  const [theme, setTheme] = useState(readTheme)
  return (
    <main className="mx-auto grid w-full max-w-xl gap-8 px-4 py-8 sm:px-8">
      <h1 className="text-3xl font-semibold tracking-tight">Settings</h1>
      {error && <p role="alert">{describeError(error)}</p>}
      {data && <WorkshopSettings settings={data} />}
      {here?.person ? <PersonSection person={here.person} /> : <PhonesSection />}
      <ArchiveSection />
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
  return (
    <section className="grid gap-5" aria-label="Workshop">
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="text-xl font-semibold">Workshop</h2>
        <SavingState draft={draft} />
      </div>
      <p className="text-soft">New covers begin with these.</p>
      {draft.conflict && <ConflictNotice what="The settings were" draft={draft} current={draft.conflict} />}
      {settingKeys
        .filter(key => !atTheTable.has(key) && !elsewhere.has(key))
        .map(key => (
          <SettingInput key={key} name={key} settings={draft.body} onChange={changes.change} />
        ))}
      <h2 className="mt-4 text-xl font-semibold">At the table</h2>
      <p className="text-soft">
        What is at hand, and how far it reaches: the steps change with it.{' '}
        <Link className="text-thread underline" to="/practice">
          Practise
        </Link>{' '}
        what is new to your hands; connect{' '}
        <Link className="text-thread underline" to="/devices">
          devices
        </Link>{' '}
        or try what they do.
      </p>
      {settingKeys
        .filter(key => atTheTable.has(key))
        .map(key => (
          <SettingInput key={key} name={key} settings={draft.body} onChange={changes.change} />
        ))}
    </section>
  )
}
