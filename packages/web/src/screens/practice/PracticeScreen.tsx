import { useSearchParams } from 'react-router'
import { useSettingsQuery } from '../../api/api'
import { Toggle } from '../../parts/Toggle'
import { usePageTitle } from '../../views/use-page-title'
import { CoverQuestions } from './CoverQuestions'
import { ReadTheTape } from './ReadTheTape'

const kinds = {
  tape: 'Read a tape',
  sides: 'Which side is up',
  order: 'What comes first',
  opening: 'Where it stays open',
} as const
type Kind = keyof typeof kinds

/** A corner for hands that are new: short questions, from the same reckoning that plans covers. */
export function Screen() {
  usePageTitle('Practice')
  const [place, setPlace] = useSearchParams()
  const { data: settings } = useSettingsQuery()
  const kind = kindOf(place.get('of'))
  return (
    <main className="mx-auto grid w-full max-w-xl content-start gap-6 px-4 py-8 sm:px-8">
      <h1 className="text-3xl font-semibold tracking-tight">Practice</h1>
      <div>
        <Toggle
          label="Practise"
          value={kind}
          choices={kinds}
          onChange={of => setPlace({ of }, { replace: true })}
        />
      </div>
      {settings && kind === 'tape' && <ReadTheTape settings={settings} />}
      {settings && kind !== 'tape' && <CoverQuestions key={kind} kind={kind} settings={settings} />}
    </main>
  )
}

function kindOf(asked: string | null): Kind {
  return asked === 'sides' || asked === 'order' || asked === 'opening' ? asked : 'tape'
}
