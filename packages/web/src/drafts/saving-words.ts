import type { Draft } from './draft'
import type { Keeping } from './kept-drafts'

/** How the saving of a draft stands, in a few words. */
export function savingWords(
  { conflict, saving, dirty, refusal }: Pick<Draft, 'conflict' | 'saving' | 'dirty' | 'refusal'>,
  keeping: Keeping,
  looksOn = false,
): string {
  if (looksOn) return dirty ? 'Tried, and not saved: you look on' : 'You look on'
  if (conflict) return 'Not saved: changed elsewhere'
  if (saving === 'offline')
    return keeping === undefined ? 'Server away: kept on this device' : 'Server away: keep this window open'
  if (saving === 'refused') return `Not saved: ${refusal ?? ''}`
  return dirty ? 'Saving …' : 'Saved'
}

/** What it means that this device does not keep unsaved work, and what to do. */
export function keepingWords(keeping: NonNullable<Keeping>): string {
  return keeping === 'full'
    ? 'This device has no room left to keep unsaved work. Saving works; but while the server is away, do not close the window.'
    : 'This browser keeps nothing for this page, so unsaved work cannot outlive the window. Saving works; but while the server is away, do not close it.'
}
