import { changeThing, findFamily, listThings, removeThing } from '@snowdrift/core'
import { Plus, X } from 'lucide-react'
import { oneStep } from '../../../drafts/draft'
import { Button } from '../../../parts/Button'
import { useCover } from '../cover-context'

interface BookTabsProps {
  readonly thing: number
  readonly onChoose: (thing: number) => void
}

/** The books of a series, where one cover may serve several. */
export function BookTabs({ thing, onChoose }: BookTabsProps) {
  const { file, planned, change } = useCover()
  if (!findFamily(file.family)?.severalObjects) return null
  const things = listThings(file)
  const add = () => {
    const like = things.at(-1)
    change(oneStep, current =>
      changeThing(current, things.length, () => ({ kind: like?.kind ?? 'hardcover', readings: {} })),
    )
    onChoose(things.length)
  }
  const remove = () => {
    change(oneStep, current => removeThing(current, thing))
    onChoose(Math.max(0, thing - 1))
  }
  return (
    <div className="grid gap-2">
      <p className="text-soft">One cover for a whole series: measure every book that it is to serve.</p>
      <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Books">
        {things.map((_, index) => {
          const served = planned.plan?.serves?.[index]
          return (
            <Button
              key={index}
              aria-pressed={index === thing}
              onClick={() => onChoose(index)}
              className="aria-pressed:border-thread"
            >
              Book {index + 1}
              {served && <span className="text-sm text-soft">{served.reason ? 'not served' : 'served'}</span>}
            </Button>
          )
        })}
        <Button look="quiet" onClick={add}>
          <Plus className="size-4" aria-hidden /> Another book
        </Button>
        {things.length > 1 && (
          <Button look="quiet" onClick={remove}>
            <X className="size-4" aria-hidden /> Take book {thing + 1} out
          </Button>
        )}
      </div>
    </div>
  )
}
