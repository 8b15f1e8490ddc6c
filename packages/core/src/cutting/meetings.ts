import { afterWash } from './shrink.js'
import type { CoverToCut, CuttingGroup } from './group.js'
import type { PrintPlace } from './print-places.js'
import type { Length } from '../length/length.js'
import type { Match } from '../nest/request.js'

/** Two pieces of a group that lie side by side on the cover, or one on the other, by their ids in the group. */
export interface PrintMeeting {
  readonly one: string
  readonly other: string
}

/** How often a print comes again along and across the cloth. */
export interface PrintRepeat {
  readonly along?: Length | undefined
  readonly across?: Length | undefined
}

interface Placed {
  readonly id: string
  readonly coverId: string
  readonly place: PrintPlace
}

/** Where in a group the print could run on from piece to piece. */
export function meetingsIn(group: CuttingGroup, covers: readonly CoverToCut[]): readonly PrintMeeting[] {
  const placed = placedIn(group, covers)
  return placed.flatMap((one, index) =>
    placed
      .slice(index + 1)
      .filter(other => other.coverId === one.coverId && overlap(one.place, other.place))
      .map(other => ({ one: one.id, other: other.id })),
  )
}

/** What of the meetings is asked of a layout: pieces that meet one another are one match, however many they are. */
export function matchesOf(
  group: CuttingGroup,
  covers: readonly CoverToCut[],
  chosen: readonly PrintMeeting[],
  { along, across }: PrintRepeat,
): readonly Match[] {
  if (chosen.length === 0 || (along === undefined && across === undefined)) return []
  const placed = placedIn(group, covers)
  const real = meetingsIn(group, covers).filter(({ one, other }) =>
    chosen.some(asked => asked.one === one && asked.other === other),
  )
  return joined(real).map(ids => ({
    pieces: placed.filter(({ id }) => ids.has(id)).map(({ id, place: { x, y } }) => ({ piece: id, x, y })),
    ...(along !== undefined && { along: afterWash(along, group) }),
    ...(across !== undefined && { across: afterWash(across, group) }),
  }))
}

/** The pieces of a group that have a place on their cover; what is cut on the bias has its print askew. */
function placedIn({ pieces }: CuttingGroup, covers: readonly CoverToCut[]): readonly Placed[] {
  return pieces.flatMap(({ id, coverId, piece, copy }) => {
    const cover = covers.find(candidate => candidate.id === coverId)
    const place = cover?.places?.find(candidate => candidate.piece === piece && candidate.copy === copy)
    const isBias = cover?.pieces.some(candidate => candidate.id === piece && candidate.blank) ?? false
    return place && !isBias ? [{ id, coverId, place }] : []
  })
}

function overlap(one: PrintPlace, other: PrintPlace): boolean {
  return (
    one.x < other.x + other.width &&
    other.x < one.x + one.width &&
    one.y < other.y + other.height &&
    other.y < one.y + one.height
  )
}

/** What hangs together, by twos. */
function joined(meetings: readonly PrintMeeting[]): readonly ReadonlySet<string>[] {
  const sets: Set<string>[] = []
  for (const { one, other } of meetings) {
    const touched = sets.filter(set => set.has(one) || set.has(other))
    const whole = new Set([one, other, ...touched.flatMap(set => [...set])])
    for (const set of touched) sets.splice(sets.indexOf(set), 1)
    sets.push(whole)
  }
  return sets
}
