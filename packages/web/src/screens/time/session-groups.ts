import type { ScheduledItem, WorkPlace } from '@snowdrift/core'

/** Work at one place, one step after the other. */
export interface PlaceGroup {
  readonly place: WorkPlace
  readonly items: readonly ScheduledItem[]
}

/** A session's work by where it is done, in its order. */
export function groupByPlace(items: readonly ScheduledItem[]): readonly PlaceGroup[] {
  const groups: { place: WorkPlace; items: ScheduledItem[] }[] = []
  for (const item of items) {
    const last = groups.at(-1)
    if (last?.place === item.place) last.items.push(item)
    else groups.push({ place: item.place, items: [item] })
  }
  return groups
}

/** What of one cover is done in a session. */
export interface CoverInSession {
  readonly cover: string
  readonly steps: readonly string[]
  readonly minutes: number
}

/** A session's work by cover, in the order in which each is begun. */
export function groupByCover(items: readonly ScheduledItem[]): readonly CoverInSession[] {
  const groups = new Map<string, { steps: string[]; minutes: number }>()
  for (const { cover, step, minutes } of items) {
    const group = groups.get(cover) ?? { steps: [], minutes: 0 }
    groups.set(cover, { steps: [...group.steps, step], minutes: group.minutes + minutes })
  }
  return [...groups].map(([cover, group]) => ({ cover, ...group }))
}
