import type { PairedDevice } from '@snowdrift/core'
import type { Repositories } from '../db/repositories/repositories.js'
import type { CallerEnv } from '../http/guard.js'

/** What every route under /api knows of its request. */
export interface WorkshopEnv {
  readonly Variables: CallerEnv['Variables'] & {
    /** The id of the workshop that the request belongs to. */
    readonly workshop: string
    /** The device that asks; undefined where somebody sits at the machine itself. */
    readonly device?: PairedDevice
    readonly repositories: Repositories
  }
}
