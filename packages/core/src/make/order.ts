import { comingBackMinutes, roundMinutes, setUpMinutes } from './minutes.js'
import type { Step, WorkPlace } from './step.js'

type Placed = Pick<Step, 'id' | 'needs' | 'place'> & { readonly within?: number | undefined }

/**
 * One right order: what must follow at once follows at once; else what can be done at the place where one is, then what
 * was written first.
 */
export function inOrder<S extends Placed>(steps: readonly S[]): readonly S[] {
  const followers = followersOf(steps)
  const unmet = steps.map(({ needs }) => needs.length)
  const order: S[] = []
  while (order.length < steps.length) {
    const at = nextOf(steps, unmet, order.at(-1))
    const next = steps[at]
    if (!next) throw new Error(`No step can be done next of ${leftOf(steps, unmet).join(', ')}`)
    order.push(next)
    unmet[at] = taken
    for (const follower of followers.get(next.id) ?? []) unmet[follower] = (unmet[follower] ?? 0) - 1
  }
  return order
}

/** What a step that has its place in the order still waits for. */
const taken = -1

/** By step, where those stand that need it: once for each time that they name it. */
function followersOf(steps: readonly Placed[]): ReadonlyMap<string, readonly number[]> {
  const followers = new Map<string, number[]>()
  steps.forEach(({ needs }, at) => {
    for (const need of needs) {
      const known = followers.get(need)
      if (known) known.push(at)
      else followers.set(need, [at])
    }
  })
  return followers
}

/** Where the next step stands among those that wait for nothing more; −1 where all wait. */
function nextOf(steps: readonly Placed[], unmet: readonly number[], last: Placed | undefined): number {
  let first = -1
  let near = -1
  for (let at = 0; at < steps.length; at += 1) {
    const step = steps[at]
    if (!step || unmet[at] !== 0) continue
    if (last?.within !== undefined && step.needs.includes(last.id)) return at
    if (near < 0 && step.place === last?.place) near = at
    if (first < 0) first = at
  }
  return near < 0 ? first : near
}

function leftOf(steps: readonly Placed[], unmet: readonly number[]): readonly string[] {
  return steps.flatMap(({ id }, at) => (unmet[at] === taken ? [] : [id]))
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
