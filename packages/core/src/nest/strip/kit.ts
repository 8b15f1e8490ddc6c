/**
 * What is to be laid: rectangles in whole ticks, the room between pieces already added. `kinds` is alike for
 * rectangles of the same size and turn.
 */
export interface Kit {
  readonly count: number
  readonly widths: Int32Array
  readonly heights: Int32Array
  readonly turnable: Uint8Array
  readonly kinds: Int32Array
  readonly kindCount: number
  /** Of all rectangles together. */
  readonly area: number
}

/** Where each rectangle lies on the row of rooms, in the order of the kit. */
export interface Laid {
  readonly x: Int32Array
  readonly y: Int32Array
  readonly turned: Uint8Array
}

export interface KitRectangle {
  readonly width: number
  readonly height: number
  readonly turnable: boolean
}

/** A square needs no turning; two that differ in their turns are two kinds. */
export function createKit(rectangles: readonly KitRectangle[]): Kit {
  const count = rectangles.length
  const known = new Map<string, number>()
  const kinds = rectangles.map(({ width, height, turnable }) => {
    const sizes = turnable ? [Math.min(width, height), Math.max(width, height)] : [width, height]
    const key = [...sizes, turnable && width !== height].join(' ')
    const kind = known.get(key) ?? known.size
    known.set(key, kind)
    return kind
  })
  return {
    count,
    widths: Int32Array.from(rectangles, ({ width }) => width),
    heights: Int32Array.from(rectangles, ({ height }) => height),
    turnable: Uint8Array.from(rectangles, ({ width, height, turnable }) =>
      turnable && width !== height ? 1 : 0,
    ),
    kinds: Int32Array.from(kinds),
    kindCount: known.size,
    area: rectangles.reduce((sum, { width, height }) => sum + width * height, 0),
  }
}

export function createLaid(count: number): Laid {
  return { x: new Int32Array(count), y: new Int32Array(count), turned: new Uint8Array(count) }
}
