import type { CoverFile } from '@snowdrift/core'
import { Download } from 'lucide-react'
import { Button } from '../../parts/Button'
import { download, fileNameOf } from '../../parts/download'
import { WritingProgress } from '../../parts/WritingProgress'
import { useErrand } from '../../parts/use-errand'

interface CoverItselfProps {
  readonly id: string
  readonly file: CoverFile
}

/** The cover as open files: alone, or with its thing and what of the stash it is made of. */
export function CoverItself({ id, file }: CoverItselfProps) {
  const { now, start, stop } = useErrand()
  const name = fileNameOf(file.name ?? '')
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
        <Button
          disabled={now.state === 'running'}
          onClick={() => void start({ kind: 'archive', cover: id }, `${name}.snowdrift.zip`)}
        >
          <Download className="size-4" aria-hidden /> With its cloth
        </Button>
        {now.state !== 'resting' && (
          <div className="basis-full text-right">
            <WritingProgress now={now} label="Writing the cover with its cloth" onStop={stop} />
          </div>
        )}
      </div>
    </section>
  )
}
