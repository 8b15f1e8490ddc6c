import type { CoverFile } from '@snowdrift/core'
import { Download } from 'lucide-react'
import { useState } from 'react'
import { fetchFile } from '../../api/fetch-file'
import { Button } from '../../parts/Button'
import { download, downloadBlob, fileNameOf } from '../../parts/download'

interface CoverItselfProps {
  readonly id: string
  readonly file: CoverFile
}

/** The cover as open files: alone, or with its thing and what of the stash it is made of. */
export function CoverItself({ id, file }: CoverItselfProps) {
  const [state, setState] = useState<'resting' | 'writing' | { readonly why: string }>('resting')
  const name = fileNameOf(file.name ?? '')
  const takeWithStash = async () => {
    setState('writing')
    const outcome = await fetchFile(`/api/archive?cover=${id}`, AbortSignal.timeout(30_000))
    if (typeof outcome === 'string') return setState({ why: outcome })
    downloadBlob(`${name}.snowdrift.zip`, outcome)
    setState('resting')
  }
  return (
    <section className="grid gap-4" aria-labelledby="its-file">
      <h2 id="its-file" className="text-xl font-semibold">
        The cover itself
      </h2>
      <div className="flex flex-wrap items-center justify-between gap-3 border-t border-rule pt-3">
        <p className="min-w-0 flex-1 text-soft">Everything that was measured and chosen, as an open file.</p>
        <Button onClick={() => download(`${name}.snowdrift.json`, JSON.stringify(file, null, 2))}>
          <Download className="size-4" aria-hidden /> Export the cover file
        </Button>
      </div>
      <div className="flex flex-wrap items-center justify-between gap-3 border-t border-rule pt-3">
        <p className="min-w-0 flex-1 text-soft">
          The same with its thing, its cloths and what there is of them; another workshop takes it in under
          Settings.
        </p>
        <Button disabled={state === 'writing'} onClick={() => void takeWithStash()}>
          <Download className="size-4" aria-hidden /> With its cloth
        </Button>
        {typeof state === 'object' && (
          <p role="alert" className="basis-full text-bad">
            {state.why}
          </p>
        )}
      </div>
    </section>
  )
}
