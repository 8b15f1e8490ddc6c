import type { Repositories } from '../db/repositories/repositories.js'

/** What every route under /api knows of its request. */
export interface WorkshopEnv {
  readonly Variables: {
    /** The id of the workshop that the request belongs to. */
    readonly workshop: string
    readonly repositories: Repositories
  }
}
