import { readDevice, writeDevice } from './device-storage'

/** A wait that runs on some bench, as this device keeps it: enough to ring on any screen. */
export interface KeptWait {
  readonly cover: string
  readonly step: string
  readonly name: string
  readonly endsAt: string
}

const key = 'snowdrift.waits'
const none: readonly KeptWait[] = []

/** What is kept; nothing where it cannot be read. */
export function readWaits(): readonly KeptWait[] {
  const kept = readDevice(key)
  if (kept === null || kept === '[]') return none
  try {
    const waits: unknown = JSON.parse(kept)
    return Array.isArray(waits) ? waits.filter(isWait) : none
  } catch {
    return none
  }
}

function isWait(kept: unknown): kept is KeptWait {
  const { cover, step, name, endsAt } = (kept ?? {}) as Partial<Record<keyof KeptWait, unknown>>
  return [cover, step, name, endsAt].every(part => typeof part === 'string')
}

/** Keeps the waits of one bench in place of those that were kept of it. */
export function keepWaits(cover: string, waits: readonly Omit<KeptWait, 'cover'>[]): void {
  const known = readWaits()
  const all = [...known.filter(wait => wait.cover !== cover), ...waits.map(wait => ({ cover, ...wait }))]
  if (all.length + known.length > 0) writeDevice(key, JSON.stringify(all))
}

/** Those that are over at a time, but for the ones of a bench that is on screen: it rings itself. */
export function overAt(
  waits: readonly KeptWait[],
  now: number,
  shown: string | undefined,
): readonly KeptWait[] {
  return waits.filter(({ cover, endsAt }) => cover !== shown && Date.parse(endsAt) <= now)
}
