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
  const near = [...needs.values()].map(list => placesOf(list, places))
  // A row has a bit for each step: what comes before one that comes before is joined in 32 steps at a time.
  const words = Math.ceil(ids.length / 32)
  const rows = new Uint32Array(ids.length * words)
  const visited = new Uint8Array(ids.length)
  const has = (row: number, place: number) =>
    (((rows[row * words + (place >> 5)] ?? 0) >>> (place & 31)) & 1) === 1

  function join(into: number, from: number): void {
    for (let word = 0; word < words; word++)
      rows[into * words + word] = (rows[into * words + word] ?? 0) | (rows[from * words + word] ?? 0)
    const at = into * words + (from >> 5)
    rows[at] = (rows[at] ?? 0) | (1 << (from & 31))
  }

  function visit(place: number): void {
    if (visited[place] === done) return
    if (visited[place] === begun) throw new Error(`Steps need one another in a circle: ${circleOf(place)}`)
    visited[place] = begun
    for (const need of near[place] ?? []) {
      visit(need)
      join(place, need)
    }
    visited[place] = done
  }

  /** The steps of a circle, from one of them back to it. */
  function circleOf(place: number): string {
    const round = [place]
    do round.push(near[round.at(-1) ?? place]?.find(need => visited[need] === begun) ?? place)
    while (round.at(-1) !== place)
    return round.map(at => ids[at]).join(' → ')
  }
  ids.forEach((_, place) => {
    visit(place)
  })

  return {
    isBefore: (first, then) => {
      const [at, row] = [places.get(first), places.get(then)]
      return at !== undefined && row !== undefined && has(row, at)
    },
    nearest: list => {
      const far = placesOf(list, places)
      return list.filter(need => {
        const at = places.get(need)
        return at === undefined || !far.some(row => has(row, at))
      })
    },
  }
}

const begun = 1
const done = 2

/** Where they stand; what has no place is left out. */
function placesOf(list: Iterable<string>, places: ReadonlyMap<string, number>): readonly number[] {
  const found: number[] = []
  for (const id of list) {
    const place = places.get(id)
    if (place !== undefined) found.push(place)
  }
  return found
}
