import type { PairedDevice } from '@snowdrift/core'
import type { SignedInPerson } from '../db/repositories/people/session-repository.js'
import type { Repositories } from '../db/repositories/repositories.js'
import type { CallerEnv } from '../http/guard.js'

/** What a route knows where people sign in, before it is known whether they belong to a workshop. */
export interface PersonEnv {
  readonly Variables: WorkshopEnv['Variables'] & { readonly person: SignedInPerson }
}

/** What every route under /api knows of its request. */
export interface WorkshopEnv {
  readonly Variables: CallerEnv['Variables'] & {
    /** The id of the workshop that the request belongs to. */
    readonly workshop: string
    /** The device that asks, where devices are let in. */
    readonly device?: PairedDevice
    /** Whether whoever asked is let in still. */
    readonly isStillIn: () => Promise<boolean>
    /** Who asks, where people sign in. */
    readonly person?: SignedInPerson
    readonly repositories: Repositories
    /** For reads to which a second of age does no harm, and which would keep others waiting. */
    readonly aged: Repositories
  }
}
