/** A place at which work stops until it is let go. */
export interface Gate {
  /** What the work awaits there. */
  readonly pass: () => Promise<void>
  /** Once the work has come so far. */
  readonly arrival: Promise<void>
  readonly release: () => void
  /** A clock by which each look is a second later: every step says how far it is. */
  readonly now: () => Date
}

export function createGate(): Gate {
  let arrived = () => undefined as void
  let release = () => undefined as void
  const arrival = new Promise<void>(resolve => (arrived = resolve))
  const opened = new Promise<void>(resolve => (release = resolve))
  let clock = Date.now()
  return {
    pass: () => {
      arrived()
      return opened
    },
    arrival,
    release: () => release(),
    now: () => new Date((clock += 1000)),
  }
}
