/** What comes before what, near and far. */
export interface Ancestry {
  readonly isBefore: (first: string, then: string) => boolean
  /** Without those that another of them comes after already. */
  readonly nearest: (needs: readonly string[]) => readonly string[]
}

/** All that comes before each step. A circle is a bug of whoever wrote the needs, and thrown. */
export function ancestryOf(needs: ReadonlyMap<string, Iterable<string>>): Ancestry {
  const ids = [...needs.keys()]
  const places = new Map(ids.map((id, place) => [id, place]))
  const rows = ids.map(() => new Uint8Array(ids.length))
  const done = new Uint8Array(ids.length)
  const placeOf = (id: string) => places.get(id) ?? -1

  function visit(place: number, path: readonly number[]): Uint8Array {
    const row = rows[place] ?? new Uint8Array(ids.length)
    if (done[place] === 1) return row
    if (path.includes(place))
      throw new Error(
        `Steps need one another in a circle: ${[...path, place].map(at => ids[at]).join(' → ')}`,
      )
    for (const need of needs.get(ids[place] ?? '') ?? []) {
      const at = placeOf(need)
      if (at < 0) continue
      const far = visit(at, [...path, place])
      row[at] = 1
      for (let other = 0; other < row.length; other++) if (far[other] === 1) row[other] = 1
    }
    done[place] = 1
    return row
  }
  ids.forEach((_, place) => visit(place, []))

  return {
    isBefore: (first, then) => rows[placeOf(then)]?.[placeOf(first)] === 1,
    nearest: list => {
      const far = list.map(need => rows[placeOf(need)])
      return list.filter(need => !far.some(row => row?.[placeOf(need)] === 1))
    },
  }
}
