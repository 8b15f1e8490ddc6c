import type { Assembled } from './assembled.js'
import { comingBackMinutes, roundMinutes, setUpMinutes } from './minutes.js'
import type { WorkPlace } from './step.js'

/**
 * One right order: what must follow at once follows at once; else what can be done at the place where one is, then what
 * was written first.
 */
export function inOrder<S extends Pick<Assembled, 'id' | 'needs' | 'place' | 'within'>>(
  steps: readonly S[],
): readonly S[] {
  const done = new Set<string>()
  const left = [...steps]
  const order: S[] = []
  while (left.length > 0) {
    const last = order.at(-1)
    const ready = left.filter(({ needs }) => needs.every(need => done.has(need)))
    const next =
      (last?.within !== undefined ? ready.find(({ needs }) => needs.includes(last.id)) : undefined) ??
      ready.find(({ place }) => place === last?.place) ??
      ready[0]
    if (!next) throw new Error(`No step can be done next of ${left.map(({ id }) => id).join(', ')}`)
    order.push(next)
    left.splice(left.indexOf(next), 1)
    done.add(next.id)
  }
  return order
}

/** Set-up before each step of an order: the first at a place, coming back to one, nothing where one stays. */
export function setUpsOf(order: readonly { readonly place: WorkPlace }[]): readonly number[] {
  const seen = new Set<WorkPlace>()
  return order.map(({ place }, index) => {
    if (index > 0 && order[index - 1]?.place === place) return 0
    const cost = seen.has(place) ? comingBackMinutes : setUpMinutes[place]
    seen.add(place)
    return cost
  })
}

/** Active minutes with set-ups; and with every wait, one after the other. */
export function totalMinutes(
  order: readonly {
    readonly place: WorkPlace
    readonly minutes: number
    readonly wait?: number | undefined
  }[],
): { readonly minutes: number; readonly elapsed: number } {
  const active = order.reduce((sum, { minutes }) => sum + minutes, 0)
  const setUp = setUpsOf(order).reduce((sum, minutes) => sum + minutes, 0)
  const waits = order.reduce((sum, { wait = 0 }) => sum + wait, 0)
  return { minutes: roundMinutes(active + setUp), elapsed: roundMinutes(active + setUp + waits) }
}
