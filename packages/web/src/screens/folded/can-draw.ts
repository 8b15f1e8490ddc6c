/** Whether this browser draws in the round at all. */
export function canDrawInTheRound(): boolean {
  try {
    return document.createElement('canvas').getContext('webgl2') !== null
  } catch {
    return false
  }
}
