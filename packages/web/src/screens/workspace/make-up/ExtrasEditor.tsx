import { oneStep } from '../../../drafts/draft'
import {
  extras as known,
  findExtra,
  listOptionFields,
  type CoverFile,
  type TypedExtra,
} from '@snowdrift/core'
import { Plus, X } from 'lucide-react'
import { Button } from '../../../parts/Button'
import { OptionFields } from '../../../parts/OptionFields'
import { useCover } from '../cover-context'

/** What is added to the cover, each with its own options. */
export function ExtrasEditor() {
  const { file, unit, division, change } = useCover()
  const added = file.extras ?? []
  const set = (key: string, extras: TypedExtra[]) =>
    change(key, (current): CoverFile => ({ ...current, extras }))
  return (
    <section className="grid gap-4">
      <h3 className="text-lg font-semibold">Added to it</h3>
      {added.map((typed, index) => {
        const extra = findExtra(typed.type)
        if (!extra) return null
        const { type: _type, ...values } = typed
        return (
          <div key={index} className="grid gap-4 rounded-md border border-rule bg-surface p-3">
            <div className="flex items-start gap-3">
              <div className="flex-1">
                <p className="font-medium">{extra.words.name}</p>
                <p className="text-sm text-soft">{extra.words.summary}</p>
              </div>
              <Button
                look="quiet"
                aria-label={`Take off: ${extra.words.name.toLowerCase()}`}
                onClick={() =>
                  set(
                    oneStep,
                    added.filter((_, at) => at !== index),
                  )
                }
              >
                <X className="size-4" aria-hidden />
              </Button>
            </div>
            <OptionFields
              fields={listOptionFields(extra.options(unit))}
              values={values}
              settled={{}}
              unit={unit}
              division={division}
              onChange={(key, value) => {
                const { [key]: _before, ...others } = typed
                const next = (value === undefined ? others : { ...others, [key]: value }) as TypedExtra
                set(
                  `extra.${index}.${key}`,
                  added.map((entry, at) => (at === index ? next : entry)),
                )
              }}
            />
          </div>
        )
      })}
      <div className="flex flex-wrap gap-2">
        {known.map(({ type, words }) => (
          <Button key={type} onClick={() => set(oneStep, [...added, { type }])}>
            <Plus className="size-4" aria-hidden /> {words.name}
          </Button>
        ))}
      </div>
    </section>
  )
}
