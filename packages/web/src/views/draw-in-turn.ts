const waiting: (() => void)[] = []
let timer: ReturnType<typeof setTimeout> | undefined

/** After the last change a drawing waits so long, for the next change may come at once. */
const restMs = 120

/**
 * Draws one after the other, each in a task of its own, so that no single task keeps the page from answering. Gives what
 * takes the drawing back while it still waits.
 */
export function drawInTurn(draw: () => void): () => void {
  waiting.push(draw)
  timer ??= setTimeout(drawNext, restMs)
  return () => {
    const place = waiting.indexOf(draw)
    if (place >= 0) waiting.splice(place, 1)
  }
}

function drawNext(): void {
  const draw = waiting.shift()
  timer = waiting.length > 0 ? setTimeout(drawNext, 0) : undefined
  draw?.()
}
