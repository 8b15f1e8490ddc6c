import { createTurns } from './turns'

/** Draws one after the other; after the last change a drawing waits a little, for the next change may come at once. */
export const drawInTurn = createTurns(120)
