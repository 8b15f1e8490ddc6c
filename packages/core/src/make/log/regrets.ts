import type { MakeLog, MakeRow } from '../../api/makes.js'

/** What somebody wished to have done otherwise, where the same kind of piece is planned again. */
export interface Regret {
  readonly make: string
  readonly cover: string
  readonly finished: string
  /** A piece of the plan at hand; undefined for the whole. */
  readonly piece?: string
  readonly what: string
}

/** Numbers that tell a second piece of a kind from the first. */
const kindOf = (piece: string) => piece.replace(/-\d+$/, '')

/**
 * What was regretted of makes that had the same kind of piece, or were made the same way; the latest first, none said
 * twice.
 */
export function regretsFor(
  { family, pieces }: { readonly family: string; readonly pieces: readonly string[] },
  makes: readonly MakeRow[],
): readonly Regret[] {
  const said = new Set<string>()
  return [...makes]
    .sort((one, other) => (one.log.finished < other.log.finished ? 1 : -1))
    .flatMap(({ id, log }) =>
      log.regrets.flatMap(({ piece, what }): readonly Regret[] => {
        const own = piece === '' ? undefined : pieces.find(known => kindOf(known) === kindOf(piece))
        const isAbout = piece === '' ? log.family === family : own !== undefined
        const key = `${kindOf(piece)} ${what}`
        if (!isAbout || said.has(key)) return []
        said.add(key)
        return [{ make: id, cover: log.name, finished: log.finished, what, ...(own && { piece: own }) }]
      }),
    )
}

/** Reminders that are due by a day and not done. */
export function dueReminders(
  makes: readonly MakeRow[],
  today: string,
): readonly { readonly make: MakeRow; readonly reminder: MakeLog['reminders'][number] }[] {
  return makes
    .flatMap(make => make.log.reminders.map(reminder => ({ make, reminder })))
    .filter(({ reminder }) => reminder.done === null && reminder.due <= today)
    .sort((one, other) => (one.reminder.due < other.reminder.due ? -1 : 1))
}
