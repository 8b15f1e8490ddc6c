/** Numbers from 0 to 1, alike for a seed. Source: the counter-based generator of T. Ettinger (public domain). */
export function createRandom(seed: number): () => number {
  let state = seed | 0
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32
  }
}

export interface Rectangle {
  readonly width: number
  readonly height: number
}

/** Rectangles for a strip, in eighths of an inch. */
export interface Instance {
  readonly name: string
  readonly width: number
  readonly pieces: readonly Rectangle[]
  /** The optimum, where it is known by construction. */
  readonly optimum?: number
}

const smallestSide = 8

/** A rectangle cut to pieces without waste: by edge-to-edge cuts only, or also by pinwheels of five. */
export function cutWithoutWaste(count: number, seed: number, edgeToEdge: boolean): Instance {
  const random = createRandom(seed * 7919 + count)
  const width = Math.round(200 + random() * 200)
  const optimum = Math.round(120 + random() * 280)
  const pieces: Rectangle[] = [{ width, height: optimum }]
  while (pieces.length < count) {
    const at = pickByArea(pieces, random())
    const whole = pieces[at] as Rectangle
    const parts =
      !edgeToEdge && random() < 0.35 && pieces.length + 4 <= count
        ? pinwheel(whole, random)
        : halve(whole, random)
    pieces.splice(at, 1, ...parts)
  }
  return { name: `${count} pieces, seed ${seed}`, width, pieces, optimum }
}

function pickByArea(pieces: readonly Rectangle[], share: number): number {
  let left = share * pieces.reduce((sum, { width, height }) => sum + width * height, 0)
  const found = pieces.findIndex(({ width, height }) => (left -= width * height) < 0)
  return found < 0 ? pieces.length - 1 : found
}

function halve({ width, height }: Rectangle, random: () => number): readonly Rectangle[] {
  const along = random() < width / (width + height)
  const side = along ? width : height
  if (side < 2 * smallestSide) return [{ width, height }]
  const at = Math.max(smallestSide, Math.min(side - smallestSide, Math.round(side * (0.15 + 0.7 * random()))))
  return along
    ? [
        { width: at, height },
        { width: width - at, height },
      ]
    : [
        { width, height: at },
        { width, height: height - at },
      ]
}

function pinwheel({ width, height }: Rectangle, random: () => number): readonly Rectangle[] {
  if (width < 40 || height < 40) return [{ width, height }]
  const near = (side: number) => smallestSide + Math.floor(random() * (side / 2 - 16))
  const far = (side: number) => Math.floor(side / 2 + smallestSide + random() * (side / 2 - 16))
  const [x1, x2, y1, y2] = [near(width), far(width), near(height), far(height)]
  return [
    { width: x2, height: y1 },
    { width: width - x2, height: y2 },
    { width: width - x1, height: height - y2 },
    { width: x1, height: height - y1 },
    { width: x2 - x1, height: y2 - y1 },
  ]
}

/** The pieces of some covers together, a quarter of an inch between them; the widths of cloth that shops have. */
export function gatherKits(count: number, seed: number): Instance {
  const random = createRandom(seed * 104_729 + count * 31 + 5)
  const width = [336, 352, 432, 144][Math.floor(random() * 4)] as number
  const gap = 2
  const pieces: Rectangle[] = []
  while (pieces.length < count) {
    const high = 44 + Math.floor(random() * 60)
    const wide = 32 + Math.floor(random() * 50)
    const thick = 2 + Math.floor(random() * 16)
    const add = (across: number, along: number, copies = 1): void => {
      for (let copy = 0; copy < copies && pieces.length < count; copy += 1)
        pieces.push({ width: Math.min(across, width - 4) + gap, height: along + gap })
    }
    const cover = Math.floor(random() * 4)
    if (cover === 0) {
      add(2 * wide + thick + 10, high + 10)
      add(wide + 8, high + 10, 2)
    } else if (cover === 1) {
      add(2 * wide + thick + 34, high + 10)
      add(12, 24, 2)
    } else if (cover === 2) {
      add(wide + 20, high + 16, 2)
      add(20, 2 * high + 40)
    } else {
      add(2 * wide + thick + 12, high + 12)
      add(Math.floor(wide / 2) + 8, high + 12, 2)
      add(Math.floor(wide / 2), Math.floor(high / 2), 2)
      add(24, 60)
    }
  }
  return { name: `${count} pieces, seed ${seed}`, width: width + gap, pieces }
}
