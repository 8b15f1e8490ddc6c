import { planSteps, sayProperly, type CoverFile, type Schools } from '@snowdrift/core'
import { useMemo } from 'react'
import { oneStep } from '../../drafts/draft'
import { useDraftChanges } from '../../drafts/use-draft'
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

/** One thing that makers do differently: its ways, with the minutes of each for this cover. */
interface Difference {
  readonly label: string
  readonly value: string
  readonly ways: readonly { readonly value: string; readonly words: string; readonly minutes: number }[]
  readonly onChoose: (value: string) => void
}

/** Where makers differ, each way with the minutes that this cover takes with it; those that change nothing are left out. */
export function SchoolChoices({ bench }: { readonly bench: OnTheBench }) {
  const gluing = useGluingOrder(bench)
  const differences = [...useSchools(bench), ...(gluing ? [gluing] : [])]
  if (differences.length === 0) return null
  return (
    <details>
      <summary className="text-soft">Where makers differ</summary>
      <div className="mt-3 grid gap-4 sm:grid-cols-2">
        {differences.map(({ label, value, ways, onChoose }) => (
          <SelectField
            key={label}
            label={label}
            value={value}
            choices={Object.fromEntries(
              ways.map(way => [way.value, `${way.words}, ${differs(way.minutes - bench.making.minutes)}`]),
            )}
            onChange={onChoose}
          />
        ))}
      </div>
    </details>
  )
}

function useSchools({ file, unit, hands, change }: OnTheBench): readonly Difference[] {
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
  return offered.map(({ school, ways }) => ({
    label: schools[school].label,
    value: hands[school],
    ways,
    onChoose: value =>
      change(progress => ({
        ...progress,
        schools: { ...progress.schools, [school]: { at: new Date().toISOString(), value } },
      })),
  }))
}

const gluingOrders = {
  'spine-first': 'the spine, then each board',
  'board-first': 'a board, across the spine, the other board',
} as const

/** What is glued first is the cover’s own, and goes with its file. */
function useGluingOrder({ id, file, unit, hands }: OnTheBench): Difference | undefined {
  const { change } = useDraftChanges('cover', id)
  const ways = useMemo(() => {
    if (file.family !== 'glued-wrap') return []
    return Object.entries(gluingOrders).flatMap(([value, words]) => {
      const { cover, plan } = plannedOf(glued(file, value))
      if (!cover || !plan) return []
      return [{ value, words, minutes: planSteps(cover, plan, { say: sayProperly(unit), hands }).minutes }]
    })
  }, [file, unit, hands])
  if (ways.length === 0) return undefined
  const { order = 'spine-first' } = (file.options ?? {}) as { readonly order?: string }
  return {
    label: 'Glued first',
    value: order,
    ways,
    onChoose: value => change(oneStep, body => ({ ...body, file: glued(body.file, value) })),
  }
}

function glued(file: CoverFile, order: string): CoverFile {
  return { ...file, options: { ...file.options, order } }
}

function differs(minutes: number): string {
  if (Math.abs(minutes) < 0.5) return 'as long'
  return `${minutesWords(Math.abs(minutes))} ${minutes > 0 ? 'more' : 'less'}`
}
