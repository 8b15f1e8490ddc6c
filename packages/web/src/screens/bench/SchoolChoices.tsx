import { planSteps, sayProperly, type Schools } from '@snowdrift/core'
import { useMemo } from 'react'
import { SelectField } from '../../parts/SelectField'
import { plannedOf } from '../../views/planned'
import { minutesWords } from './minutes-words'
import type { OnTheBench } from './use-making'

const schools = {
  fuse: {
    label: 'Interfacing',
    choices: { before: 'fused before sewing', after: 'laid in, fused after turning' },
  },
  close: {
    label: 'The opening',
    choices: { machine: 'closed by the edge-stitch', hand: 'closed with a ladder stitch' },
  },
  hold: { label: 'What a seam catches', choices: { baste: 'basted first', clip: 'only clipped' } },
} as const satisfies Readonly<
  Record<keyof Schools, { readonly label: string; readonly choices: Readonly<Record<string, string>> }>
>

/** Where makers differ, each way with the minutes that this cover takes with it; those that change nothing are left out. */
export function SchoolChoices({ bench }: { readonly bench: OnTheBench }) {
  const { file, unit, hands, making, change } = bench
  const offered = useMemo(() => {
    const { cover, plan } = plannedOf(file)
    if (!cover || !plan) return []
    const say = sayProperly(unit)
    return (Object.keys(schools) as (keyof Schools)[]).flatMap(school => {
      const ways = Object.entries(schools[school].choices).map(([value, words]) => {
        const { minutes, steps } = planSteps(cover, plan, { say, hands: { ...hands, [school]: value } })
        return { value, words, minutes, told: steps.map(({ id, place }) => id + place).join() }
      })
      return new Set(ways.map(({ told }) => told)).size > 1 ? [{ school, ways }] : []
    })
  }, [file, unit, hands])
  if (offered.length === 0) return null
  return (
    <details>
      <summary className="text-soft">Where makers differ</summary>
      <div className="mt-3 grid gap-4 sm:grid-cols-2">
        {offered.map(({ school, ways }) => (
          <SelectField
            key={school}
            label={schools[school].label}
            value={hands[school] as string}
            choices={Object.fromEntries(
              ways.map(({ value, words, minutes }) => [
                value,
                `${words}, ${differs(minutes - making.minutes)}`,
              ]),
            )}
            onChange={value =>
              change(progress => ({
                ...progress,
                schools: { ...progress.schools, [school]: { at: new Date().toISOString(), value } },
              }))
            }
          />
        ))}
      </div>
    </details>
  )
}

function differs(minutes: number): string {
  if (Math.abs(minutes) < 0.5) return 'as long'
  return `${minutesWords(Math.abs(minutes))} ${minutes > 0 ? 'more' : 'less'}`
}
