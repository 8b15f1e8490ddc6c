/** How long somebody stays signed in, in milliseconds. */
export interface Stays {
  /** Away for longer, one signs in anew. */
  readonly longestAwayMs: number
  /** Signed in for longer in all, too. */
  readonly longestInMs: number
}

const minuteMs = 60_000
const hourMs = 60 * minuteMs
const dayMs = 24 * hourMs

/** A phone leans on the machine through an evening and the next. */
export const usualStays: Stays = { longestAwayMs: 14 * dayMs, longestInMs: 60 * dayMs }
/** As OWASP ASVS 3.3.2 has it for level 2. */
export const strictStays: Stays = { longestAwayMs: 30 * minuteMs, longestInMs: 12 * hourMs }
