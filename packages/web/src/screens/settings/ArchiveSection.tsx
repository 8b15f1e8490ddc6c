import type { ArchiveReport, StandingChoice } from '@snowdrift/core'
import { Download, FileInput } from 'lucide-react'
import { useState } from 'react'
import { Button } from '../../parts/Button'
import { WritingProgress } from '../../parts/WritingProgress'
import { FileButton } from '../../parts/FileButton'
import { Toggle } from '../../parts/Toggle'
import { useErrand } from '../../parts/use-errand'
import { linesOf, sayTaken } from './archive-words'
import { useArchive, type Archive } from './use-archive'

const choiceWords: Readonly<Record<StandingChoice, string>> = {
  keep: 'leave mine',
  take: 'take the archive’s',
}

/** The whole workshop as one file, out and in. */
export function ArchiveSection() {
  const { now, look, take, rest } = useArchive()
  const out = useErrand()
  const isBusy = out.now.state === 'running' || now.state === 'reading'
  return (
    <section className="grid gap-4" aria-labelledby="archive" data-archive={now.state}>
      <h2 id="archive" className="text-xl font-semibold">
        The workshop as one file
      </h2>
      <p className="text-soft">
        Things, covers, stash, pictures, rules, how far each making is, and these settings: a zip of plain
        files that any program opens. Keep one elsewhere now and then, or take it to another computer.
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <Button
          disabled={isBusy}
          onClick={() => void out.start({ kind: 'archive' }, `snowdrift-${today()}.zip`)}
        >
          <Download className="size-4" aria-hidden /> Take it out
        </Button>
        <FileButton
          label="Archive of a workshop"
          accept=".zip,application/zip"
          busy={isBusy}
          onFile={file => void look(file)}
        >
          <FileInput className="size-4" aria-hidden /> Look into one …
        </FileButton>
        <WritingProgress now={out.now} label="Writing the archive" onStop={out.stop} />
        <Progress now={now} onStop={rest} />
      </div>
      {now.state === 'looked' && (
        <Looked
          key={now.file.lastModified}
          name={now.file.name}
          report={now.report}
          onCancel={rest}
          onTake={choice => void take(now.file, choice)}
        />
      )}
    </section>
  )
}

function Progress({ now, onStop }: { readonly now: Archive; readonly onStop: () => void }) {
  switch (now.state) {
    case 'reading':
      return (
        <span className="inline-flex items-center gap-2">
          <progress className="h-1.5 w-32" aria-label="Reading the archive" value={now.part} max={1} />
          <Button look="quiet" small onClick={onStop}>
            Stop
          </Button>
        </span>
      )
    case 'taken':
      return <Said words={sayTaken(now.report)} />
    case 'failed':
      return (
        <p role="alert" className="basis-full border-l-3 border-bad pl-3">
          {now.why}
        </p>
      )
    default:
      return null
  }
}

function Said({ words }: { readonly words: string }) {
  return (
    <span role="status" className="text-good">
      {words}
    </span>
  )
}

interface LookedProps {
  readonly name: string
  readonly report: ArchiveReport
  readonly onCancel: () => void
  readonly onTake: (choice: StandingChoice) => void
}

/** What an archive would bring, before anything is. */
function Looked({ name, report, onCancel, onTake }: LookedProps) {
  const [choice, setChoice] = useState<StandingChoice>('keep')
  const lines = linesOf(report)
  const differ = lines.some(({ otherwise }) => otherwise > 0)
  if (report.refused.length > 0) return <Refused name={name} report={report} onCancel={onCancel} />
  return (
    <div className="grid gap-4 border-l-3 border-thread pl-4">
      <table className="w-full max-w-md text-left tabular-nums">
        <caption className="pb-2 text-left font-medium">What “{name}” holds</caption>
        <thead className="text-sm text-soft">
          <tr>
            <th scope="col" className="py-1 font-normal">
              <span className="sr-only">Kind</span>
            </th>
            {['new here', 'otherwise here', 'the same'].map(head => (
              <th key={head} scope="col" className="py-1 text-right font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(({ name: kind, added, otherwise, same }) => (
            <tr key={kind} className="border-t border-rule">
              <th scope="row" className="py-1 font-normal">
                {kind}
              </th>
              {[added, otherwise, same].map((count, column) => (
                <td key={column} className={`py-1 text-right ${count === 0 ? 'text-soft' : ''}`}>
                  {count}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {differ && (
        <div className="grid justify-items-start gap-2">
          <p>
            What stands here and says something else
            {report.otherwise.length > 0 && <> ({report.otherwise.map(one => `“${one}”`).join(', ')})</>}:
          </p>
          <Toggle
            label="What stands here otherwise"
            value={choice}
            choices={choiceWords}
            onChange={setChoice}
          />
        </div>
      )}
      <div className="flex gap-3">
        <Button look="act" onClick={() => onTake(choice)}>
          Take it in
        </Button>
        <Button look="quiet" onClick={onCancel}>
          Leave it
        </Button>
      </div>
    </div>
  )
}

function Refused({ name, report, onCancel }: Omit<LookedProps, 'onTake'>) {
  return (
    <div role="alert" className="grid gap-3 border-l-3 border-bad pl-4">
      <p className="font-medium">“{name}” cannot be taken in; nothing was changed.</p>
      <ul className="grid gap-1 text-sm">
        {report.refused.map(({ path, message }) => (
          <li key={`${path} ${message}`} className="wrap-anywhere">
            <span className="text-soft">{path}</span> {message}
          </li>
        ))}
      </ul>
      <Button look="quiet" onClick={onCancel}>
        Leave it
      </Button>
    </div>
  )
}

function today(): string {
  return new Date().toISOString().slice(0, 10)
}
