import type { CoverRow } from '@snowdrift/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useCoversInfiniteQuery } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { SelectField } from '../../parts/SelectField'
import { plannedOf } from '../../views/planned'
import { usePageTitle } from '../../views/use-page-title'
import { CutterSection } from './CutterSection'
import { PrinterSection } from './PrinterSection'
import { TapeSection } from './TapeSection'

/** The machines at the table, as stand-ins that ship with the application: to try them, and what goes wrong with them. */
export function Screen() {
  usePageTitle('Devices')
  const { data, error } = useCoversInfiniteQuery()
  const covers = (data?.pages.flatMap(page => page.items) ?? []).filter(({ file }) => plannedOf(file).plan)
  const [chosen, setChosen] = useState('')
  const cover = covers.find(({ id }) => id === chosen) ?? covers[0]
  return (
    <main className="mx-auto grid w-full max-w-4xl content-start gap-10 px-4 py-8 sm:px-8">
      <div className="grid gap-2">
        <h1 className="text-3xl font-semibold tracking-tight">Devices</h1>
        <p className="max-w-2xl text-soft">
          Stand-ins that behave as the things do, faults too. A tape that types like a keyboard needs no
          connection: put the cursor in a measurement and press its button.
        </p>
      </div>
      <TapeSection />
      {error && <p role="alert">{describeError(error)}</p>}
      {cover ? (
        <>
          <div className="max-w-sm">
            <SelectField
              label="Cut and label for"
              value={cover.id}
              choices={Object.fromEntries(
                covers.map(({ id, file }) => [id, file.name || 'Cover without a name']),
              )}
              onChange={setChosen}
            />
          </div>
          <ForCover cover={cover} />
        </>
      ) : (
        data && (
          <p className="text-soft">
            Nothing is planned yet that could be cut or labelled.{' '}
            <Link className="text-thread underline" to="/new">
              Cover something
            </Link>
          </p>
        )
      )}
    </main>
  )
}

function ForCover({ cover }: { readonly cover: CoverRow }) {
  return (
    <>
      <CutterSection key={`cut ${cover.id}`} file={cover.file} />
      <PrinterSection key={`label ${cover.id}`} file={cover.file} />
    </>
  )
}
