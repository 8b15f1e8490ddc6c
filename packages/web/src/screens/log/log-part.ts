import type { MakeLog } from '@snowdrift/core'

/** Changes the log; changes under one key in quick succession are undone together. */
export type ChangeLog = (key: string, make: (log: MakeLog) => MakeLog) => void

/** What every part of the log of one make works with. */
export interface LogPart {
  readonly log: MakeLog
  readonly change: ChangeLog
}
