import { oneStep } from '../../../drafts/draft'
import { useState } from 'react'
import {
  extras as known,
  findExtra,
  findFamily,
  type CoverFile,
  type Extra,
  type TypedExtra,
} from '@snowdrift/core'
import { Plus } from 'lucide-react'
import { Button } from '../../../parts/Button'
import { Fractions } from '../../../parts/Fractions'
import { useCover } from '../cover-context'
import { useEffects } from '../use-effects'
import { ExtraCard } from './ExtraCard'

const groupWords: Readonly<Record<Extra['group'], string>> = {
  pocket: 'Pockets',
  closure: 'Closures',
  carrying: 'To carry it',
  trimming: 'Trimmings',
  device: 'For a device',
}
const groups = Object.keys(groupWords) as Extra['group'][]

/** What is added to the cover, each with its own options and its place. */
export function ExtrasEditor() {
  const { file, change } = useCover()
  const added = file.extras ?? []
  const set = (key: string, extras: TypedExtra[]) =>
    change(key, (current): CoverFile => ({ ...current, extras }))
  return (
    <section className="grid gap-4" aria-label="Added to it">
      <h3 className="text-lg font-semibold">Added to it</h3>
      {added.length === 0 && (
        <p className="text-soft">Nothing yet: pockets, closures, handles and the like.</p>
      )}
      {added.map((typed, index) => (
        <ExtraCard
          key={index}
          index={index}
          typed={typed}
          onChange={(key, next) =>
            set(
              key,
              added.map((entry, at) => (at === index ? next : entry)),
            )
          }
          onRemove={() =>
            set(
              oneStep,
              added.filter((_, at) => at !== index),
            )
          }
        />
      ))}
      <AddExtra onAdd={type => set(oneStep, [...added, { type }])} />
    </section>
  )
}

/** What can be added, by kind; what this way of making cannot carry is left out. */
function AddExtra({ onAdd }: { readonly onAdd: (type: string) => void }) {
  const { file } = useCover()
  const effects = useEffects()
  const [looked, setLooked] = useState<string>()
  const effect =
    looked && effects(current => ({ ...current, extras: [...(current.extras ?? []), { type: looked }] }))
  const traits = findFamily(file.family)?.traits ?? []
  const carried = known.filter(({ refuses }) => refuses(traits) === undefined)
  return (
    <div className="grid gap-2">
      {groups.map(group => {
        const choices = carried.filter(extra => extra.group === group)
        if (choices.length === 0) return null
        return (
          <div key={group} className="grid gap-1 sm:grid-cols-[7rem_1fr]">
            <p className="pt-1.5 text-sm text-soft">{groupWords[group]}</p>
            <div className="flex flex-wrap gap-1.5">
              {choices.map(({ type, words }) => (
                <Button
                  key={type}
                  className="!px-2 text-sm"
                  title={words.summary}
                  onPointerEnter={() => setLooked(type)}
                  onFocus={() => setLooked(type)}
                  onClick={() => onAdd(type)}
                >
                  <Plus className="size-4" aria-hidden /> {words.name}
                </Button>
              ))}
            </div>
          </div>
        )
      })}
      <p className="min-h-6 text-sm text-soft">
        {looked && effect && <Fractions text={`${findExtra(looked)?.words.name ?? looked} → ${effect}`} />}
      </p>
    </div>
  )
}
