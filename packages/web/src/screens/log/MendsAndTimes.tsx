import { timesByKind } from '@snowdrift/core'
import { Fractions } from '../../parts/Fractions'
import { TextField } from '../../parts/TextField'
import { sayDuration } from '../../views/day-words'
import { kindWords } from '../bench/step-words'
import type { LogPart } from './log-part'

const costWords = { cheap: 'a minute', costly: 'unpicking', 'too-late': 'a new piece' } as const

/** What was mended at the table, and what each operation took: both are there already. */
export function MendsAndTimes({ log, change }: LogPart) {
  const kinds = Object.entries(timesByKind(log.times))
  const total = log.times.reduce((sum, { took }) => sum + took, 0)
  return (
    <>
      {log.mends.length > 0 && (
        <section aria-label="Mended" className="grid gap-3">
          <h4 className="font-semibold">Mended on the way</h4>
          {log.mends.map((mend, index) => (
            <TextField
              key={mend.step}
              label={`${mend.name}: it cost ${costWords[mend.cost]}`}
              optional
              value={mend.what}
              onChange={what =>
                change(`mend ${mend.step}`, before => ({
                  ...before,
                  mends: before.mends.map((one, at) => (at === index ? { ...one, what } : one)),
                }))
              }
            />
          ))}
        </section>
      )}
      <section aria-label="Time" className="grid gap-2">
        <h4 className="font-semibold">Time at the table</h4>
        {kinds.length === 0 ? (
          <p className="text-soft">
            No times: steps that are ticked off together, or left lying, say nothing of how long they take.
          </p>
        ) : (
          <details>
            <summary className="cursor-pointer">{sayDuration(total)} that were counted, step by step</summary>
            <table className="mt-2 text-left tabular-nums">
              <thead className="text-sm text-soft">
                <tr>
                  <th className="pr-6 font-normal">Operation</th>
                  <th className="pr-6 text-right font-normal">planned</th>
                  <th className="text-right font-normal">taken</th>
                </tr>
              </thead>
              <tbody>
                {kinds.map(([kind, { planned, took }]) => (
                  <tr key={kind}>
                    <th scope="row" className="pr-6 font-normal">
                      <Fractions text={kindWords[kind as keyof typeof kindWords]} />
                    </th>
                    <td className="pr-6 text-right">{planned.toFixed(1)} min</td>
                    <td className="text-right">{took.toFixed(1)} min</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </details>
        )}
      </section>
    </>
  )
}
