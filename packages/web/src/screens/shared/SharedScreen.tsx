import { useParams } from 'react-router'
import { useSharedQuery } from '../../api/shares-api'
import { describeError } from '../../api/describe-error'
import { usePageTitle } from '../../views/use-page-title'
import { SharedMeasure } from './SharedMeasure'
import { SharedSheet } from './SharedSheet'

/** What somebody sees who was given a link: a project sheet, or a form to measure a thing by. */
export function Screen() {
  const { token = '' } = useParams()
  const { data, error } = useSharedQuery(token)
  usePageTitle(data?.file.name ?? 'A link')
  return (
    <main className="mx-auto grid w-full max-w-4xl content-start gap-6 px-4 py-8 sm:px-8 print:max-w-none print:p-0">
      <p className="no-print flex items-baseline gap-2 text-xl font-semibold tracking-tight">
        Snowdrift <span aria-hidden className="stitched h-0.5 w-9 self-center" />
      </p>
      {!data && (
        <div role={error ? 'alert' : undefined} className="grid gap-2">
          <h1 className="text-3xl font-semibold tracking-tight">
            {error ? 'There is nothing to show' : 'Fetching it …'}
          </h1>
          {error && <p>{describeError(error)}</p>}
        </div>
      )}
      {data?.kind === 'sheet' && <SharedSheet token={token} file={data.file} expiresAt={data.expiresAt} />}
      {data?.kind === 'measure' && <SharedMeasure token={token} shared={data} />}
    </main>
  )
}
