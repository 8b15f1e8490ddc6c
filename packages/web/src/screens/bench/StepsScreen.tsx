import { Printer } from 'lucide-react'
import { Link, useParams } from 'react-router'
import { Button } from '../../parts/Button'
import { CoverAwaited } from '../../views/CoverAwaited'
import { usePageTitle } from '../../views/use-page-title'
import { StepList } from './StepList'
import { useMaking } from './use-making'

/** All steps with a box to tick, to be printed. */
export function Screen() {
  const { id = '' } = useParams()
  const bench = useMaking(id)
  const isReady = typeof bench === 'object'
  usePageTitle(isReady ? (bench.file.name ?? '') : '', 'Steps')
  return (
    <main className="mx-auto w-full max-w-3xl px-4 py-6 sm:px-8 print:max-w-none print:p-0">
      <div className="no-print mb-6 flex items-center gap-4">
        <Link to={`/covers/${id}/make`} className="inline-flex items-center text-thread underline">
          Back to the cover
        </Link>
        <span className="flex-1" />
        <Button look="act" disabled={!isReady} onClick={() => print()}>
          <Printer className="size-4" aria-hidden /> Print
        </Button>
      </div>
      {bench === undefined && <CoverAwaited id={id} what="the steps" />}
      {bench === 'not-planned' && <p>The steps are there as soon as the cover can be made.</p>}
      {isReady && (
        <>
          <h1 className="mb-4 text-2xl font-semibold">{bench.file.name || 'Cover without a name'}: steps</h1>
          <StepList bench={bench} />
        </>
      )}
    </main>
  )
}
