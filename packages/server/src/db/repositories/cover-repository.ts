import type { CoverBody, CoverRow } from '@snowdrift/core'
import type { Session } from '../session.js'
import type { RowRepository } from './row-repository.js'
import type { StashRepository } from './stash-repository.js'

type CoverRows = RowRepository<CoverRow, CoverBody>

/** The rows of covers: with a cover that is deleted, what is kept for it is let go. `bind` gives the two over another session. */
export function withKeptPieces(
  session: Session,
  bind: (session: Session) => { readonly rows: CoverRows; readonly stash: StashRepository },
): CoverRows {
  return {
    ...bind(session).rows,
    remove: (workshop, id, version) =>
      session.together(async inner => {
        const { rows, stash } = bind(inner)
        const written = await rows.remove(workshop, id, version)
        if (written.kind === 'written') await stash.releaseAll(workshop, id)
        return written
      }),
  }
}
