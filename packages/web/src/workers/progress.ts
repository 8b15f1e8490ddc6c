/** How far a worker is with what it was asked: a share from 0 to 1, or that it goes no further. */
export type Progress = number | 'done' | 'stopped'

const steps = 50

/** A share as it is shown: in steps, so that not every reply draws the screen again. */
export function shownShare(share: number): number {
  return Math.floor(share * steps) / steps
}
