import {
  changeThing,
  families,
  findFamily,
  listThings,
  removeThing,
  switchFamily,
  type CoveredObject,
} from '@snowdrift/core'
import { Plus, X } from 'lucide-react'
import { oneStep } from '../../../drafts/draft'
import { Button } from '../../../parts/Button'
import { useCover } from '../cover-context'

interface BookTabsProps {
  readonly thing: number
  readonly onChoose: (thing: number) => void
}

/** The books of a series, where one cover may serve several; and the way from one book to more. */
export function BookTabs({ thing, onChoose }: BookTabsProps) {
  const { file, planned, change } = useCover()
  const things = listThings(file)
  const serving = findFamily(file.family)?.severalObjects
    ? file.family
    : familyForSeveral(planned.cover?.object)
  if (!serving) return null
  const add = () => {
    const { kind, spine } = things.at(-1) ?? { kind: 'hardcover' as const, spine: undefined }
    change(oneStep, current =>
      changeThing(
        current.family === serving ? current : switchFamily(current, serving),
        things.length,
        () => ({ kind, ...(spine && { spine }), readings: {} }),
      ),
    )
    onChoose(things.length)
  }
  if (serving !== file.family)
    return (
      <div className="flex flex-wrap items-center gap-x-3 text-sm text-soft">
        <Button look="quiet" className="!px-1" onClick={add}>
          <Plus className="size-4" aria-hidden /> Another book
        </Button>
        One cover for several: an {findFamily(serving)?.words.name.toLowerCase()}.
      </div>
    )
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

/** The way of making that serves several such things with one cover, where there is one. */
function familyForSeveral(object: CoveredObject | undefined): string | undefined {
  return object && families.find(family => family.severalObjects && family.suits(object).suits)?.id
}
