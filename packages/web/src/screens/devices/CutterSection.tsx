import { formatLength, mm, type CoverFile, type Unit } from '@snowdrift/core'
import { FileInput, Scissors } from 'lucide-react'
import { useState } from 'react'
import {
  createSimulatedCutter,
  usualCutter,
  type CutRun,
  type CutterSettings,
} from '../../devices/cutter/machine'
import type { Outline } from '../../devices/cutter/outline'
import { readOutline } from '../../devices/cutter/read-outline'
import { Button } from '../../parts/Button'
import { CheckField } from '../../parts/CheckField'
import { FileButton } from '../../parts/FileButton'
import { SelectField } from '../../parts/SelectField'
import { Toggle } from '../../parts/Toggle'
import { typeset } from '../../views/typeset'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { CutterBed } from './CutterBed'
import { exportBytes } from './export-bytes'
import { Trouble } from '../../parts/Trouble'

const formats = { svg: 'SVG', dxf: 'DXF', hpgl: 'HPGL' } as const
const bedSizes = {
  '305': { width: 305, height: 305 },
  '610': { width: 610, height: 610 },
  '1500': { width: 1500, height: 1000 },
} as const satisfies Readonly<Record<string, CutterSettings['bed']>>
type Bed = keyof typeof bedSizes
const toolWords = {
  cut: 'a knife',
  fold: 'a creasing wheel',
  stitch: 'a pricking wheel',
  mark: 'a pen',
} as const
type Tool = keyof typeof toolWords

function bedWords(unit: Unit): Record<Bed, string> {
  const say = (millimetres: number, bare: boolean) =>
    typeset(formatLength(mm(millimetres), unit, { finest: 8, bare }))
  return Object.fromEntries(
    Object.entries(bedSizes).map(([bed, { width, height }]) => [
      bed,
      `${say(width, true)} × ${say(height, false)}`,
    ]),
  ) as Record<Bed, string>
}

/** A cutting machine: what it makes of a cover’s outlines or of a file, before any cloth lies under the knife. */
export function CutterSection({ file }: { readonly file: CoverFile }) {
  const unit = useWorkshopUnit(file.unit)
  const [format, setFormat] = useState<keyof typeof formats>('svg')
  const [bed, setBed] = useState<Bed>('610')
  const [tools, setTools] = useState<readonly string[]>(usualCutter.tools)
  const [faults, setFaults] = useState({ isBlunt: false, breaks: false })
  const [sent, setSent] = useState<{ readonly outline: Outline } | { readonly why: string }>()
  const take = async (text: string) => {
    try {
      setSent({ outline: await readOutline(text) })
    } catch (error) {
      setSent({ why: (error as Error).message })
    }
  }
  const sendCover = async () => {
    const bytes = await exportBytes(file, { as: format })
    if (typeof bytes === 'string') setSent({ why: bytes })
    else await take(new TextDecoder().decode(bytes))
  }
  const machine = createSimulatedCutter({
    bed: bedSizes[bed],
    tools,
    isBlunt: faults.isBlunt,
    breaksAfter: faults.breaks ? 0.5 : 1,
  })
  const run = sent && 'outline' in sent ? machine.cut(sent.outline) : undefined
  return (
    <section className="grid gap-4" aria-labelledby="cutter">
      <h2 id="cutter" className="text-xl font-semibold">
        Cutting machine
      </h2>
      <div className="flex flex-wrap items-end gap-4">
        <SelectField label="Its bed" value={bed} choices={bedWords(unit)} onChange={setBed} />
        <fieldset className="grid gap-1">
          <legend className="font-medium">It has</legend>
          <div className="flex flex-wrap gap-x-4">
            {(Object.keys(toolWords) as Tool[]).map(tool => (
              <CheckField
                key={tool}
                label={toolWords[tool]}
                checked={tools.includes(tool)}
                onChange={has => setTools(has ? [...tools, tool] : tools.filter(one => one !== tool))}
              />
            ))}
          </div>
        </fieldset>
        <fieldset className="grid gap-1">
          <legend className="font-medium">What goes wrong</legend>
          <div className="flex flex-wrap gap-x-4">
            <CheckField
              label="its blade is blunt"
              checked={faults.isBlunt}
              onChange={isBlunt => setFaults({ ...faults, isBlunt })}
            />
            <CheckField
              label="the connection breaks half-way"
              checked={faults.breaks}
              onChange={breaks => setFaults({ ...faults, breaks })}
            />
          </div>
        </fieldset>
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Toggle label="Sent as" value={format} choices={formats} onChange={setFormat} />
        <Button look="act" onClick={() => void sendCover()}>
          <Scissors className="size-4" aria-hidden /> Send the outlines
        </Button>
        <FileButton
          label="File for the machine"
          accept=".svg,.dxf,.hpgl,.plt"
          busy={false}
          onFile={chosen => void chosen.text().then(take)}
        >
          <FileInput className="size-4" aria-hidden /> A file …
        </FileButton>
      </div>
      {sent && 'why' in sent && <Trouble>{sent.why}</Trouble>}
      {run && <Came run={run} bed={machine.bed} unit={unit} />}
    </section>
  )
}

interface CameProps {
  readonly run: CutRun
  readonly bed: CutterSettings['bed']
  readonly unit: Unit
}

/** What the machine did, in words and as the way of its tools. */
function Came({ run, bed, unit }: CameProps) {
  const say = (millimetres: number) => typeset(formatLength(mm(millimetres), unit, { finest: 8 }))
  const over = Math.max(run.over.right, run.over.left, run.over.top, run.over.bottom)
  return (
    <div className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_16rem]" data-cut-run>
      <CutterBed run={run} bed={bed} />
      <ul className="grid content-start gap-2" role="status">
        <li>
          {say(run.cutMm)} of strokes in {sayTime(run.seconds)}
        </li>
        {over > 0 && (
          <li className="text-bad">
            It reaches {say(over)} over the bed: {run.strokes.filter(({ isOver }) => isOver).length} strokes
            cannot be cut. Cut piece by piece, or on a larger bed.
          </li>
        )}
        {run.missed.length > 0 && (
          <li className="text-warn">No tool for {run.missed.join(', ')}: that is left out.</li>
        )}
        {run.ignored.length > 0 && <li className="text-soft">Not followed: {run.ignored.join(', ')}.</li>}
        {run.done < 1 && (
          <li className="text-bad">
            The connection broke after {Math.round(run.done * 100)} % of the strokes. Leave the cloth as it
            lies, connect again, and send the rest.
          </li>
        )}
        {over === 0 && run.missed.length === 0 && run.done === 1 && (
          <li className="text-good">All of it is cut.</li>
        )}
      </ul>
    </div>
  )
}

function sayTime(seconds: number): string {
  const whole = Math.max(1, Math.round(seconds))
  return whole < 60 ? `${whole} s` : `${Math.floor(whole / 60)} min ${whole % 60} s`
}
