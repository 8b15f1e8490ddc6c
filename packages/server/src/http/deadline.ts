import { HTTPException } from 'hono/http-exception'
import { timeout } from 'hono/timeout'

const late = new HTTPException(503)

/** Every request is answered within this, whatever became of the database. */
export const longestAnswerMs = 25_000

/** Gives up on what takes longer than anything may take; what was begun comes to its own end. */
export const deadline = timeout(longestAnswerMs, late)

export function isLate(error: unknown): boolean {
  return error === late
}
