import { formatLength, mm, type CoverFile } from '@snowdrift/core'
import { Printer } from 'lucide-react'
import { useState } from 'react'
import type { BurntLabel } from '../../devices/printer/burn-labels'
import { createSimulatedPrinter, usualPrinter, type PrintRun } from '../../devices/printer/printer'
import { Button } from '../../parts/Button'
import { CheckField } from '../../parts/CheckField'
import { SelectField } from '../../parts/SelectField'
import { typeset } from '../../views/typeset'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { exportBytes } from './export-bytes'

const rolls = ['62', '50', '102'] as const
const lefts = { '100': 'a hundred', '2': 'two' } as const

/** A label printer with a roll, one label a piece. */
export function PrinterSection({ file }: { readonly file: CoverFile }) {
  const unit = useWorkshopUnit(file.unit)
  const say = (millimetres: number) => typeset(formatLength(mm(millimetres), unit, { finest: 16 }))
  const [roll, setRoll] = useState<string>('62')
  const [left, setLeft] = useState<keyof typeof lefts>('100')
  const [isOff, setIsOff] = useState(false)
  const [came, setCame] = useState<PrintRun | { readonly problem: string }>()
  const [labels, setLabels] = useState<readonly BurntLabel[]>([])
  const print = async () => {
    setLabels([])
    const bytes = await exportBytes(file, { as: 'labels', labels: 'roll' })
    if (typeof bytes === 'string') return setCame({ problem: bytes })
    const printer = createSimulatedPrinter(
      { ...usualPrinter, rollWidth: Number(roll), left: Number(left), isOff },
      say,
    )
    const run = printer.print(bytes)
    setCame(run)
    if (run.printed === 0) return
    const { burnLabels } = await import('../../devices/printer/burn-labels')
    try {
      setLabels(await burnLabels(bytes, run.printed))
    } catch {
      setCame({ problem: 'The printer could not make out what it was sent. Send it again.' })
    }
  }
  return (
    <section className="grid gap-4" aria-labelledby="printer">
      <h2 id="printer" className="text-xl font-semibold">
        Label printer
      </h2>
      <div className="flex flex-wrap items-end gap-4">
        <SelectField
          label="Its roll is wide"
          value={roll}
          choices={Object.fromEntries(rolls.map(width => [width, say(Number(width))]))}
          onChange={setRoll}
        />
        <SelectField label="Labels left on it" value={left} choices={lefts} onChange={setLeft} />
        <CheckField label="it is switched off" checked={isOff} onChange={setIsOff} />
        <Button look="act" onClick={() => void print()}>
          <Printer className="size-4" aria-hidden /> Print a label for each piece
        </Button>
      </div>
      {came && (
        <div role="status" className="grid gap-2" data-print-run>
          {'printed' in came && came.printed > 0 && (
            <p className="text-good">
              {came.printed} of {came.pages} labels of {say(came.size.width)} × {say(came.size.height)} came
              out.
            </p>
          )}
          {came.problem && <p className="border-l-3 border-bad pl-3">{came.problem}</p>}
        </div>
      )}
      {labels.length > 0 && (
        <ul className="flex flex-wrap gap-2" aria-label="Labels that came out">
          {labels.map(({ picture, words }, index) => (
            <li key={index}>
              <img src={picture} alt={words} className="h-40 rounded-sm border border-rule" />
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
