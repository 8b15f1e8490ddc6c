import type { Progress } from '@snowdrift/core'
import { QueryTypes, type Sequelize } from 'sequelize'

/** A wait at the table that came to its end. */
export interface EndedWait {
  readonly coverId: string
  readonly cover: string
}

const everyMs = 10_000
/** No wait at a table is longer. */
const longestMs = 7 * 24 * 3_600_000

/** How many waits ended after the one moment and by the other, and nobody has heard of yet. */
export function countEnded({ waits }: Progress, after: Date, by: Date): number {
  return Object.values(waits).filter(({ endsAt, heard }) => {
    const end = Date.parse(endsAt)
    return !heard && end > after.getTime() && end <= by.getTime()
  }).length
}

interface RingOptions {
  readonly sequelize: Sequelize
  readonly workshop: string
  readonly now: () => Date
  readonly tell: (wait: EndedWait) => void
  readonly trouble: (error: unknown) => void
}

/**
 * Tells of every wait as it ends, whether a window is open somewhere or not: whoever closed the last one still hears it
 * where the server runs. Gives what ends it, once what it has begun is done.
 */
export function ringWaits({ sequelize, workshop, now, tell, trouble }: RingOptions): () => Promise<void> {
  let looked = now()
  let working = Promise.resolve()
  const look = async () => {
    const [after, by] = [looked, now()]
    for (const wait of await findEnded(sequelize, workshop, after, by)) tell(wait)
    looked = by
  }
  const turn = () => {
    working = working.then(look).catch(trouble)
  }
  const timer = setInterval(turn, everyMs)
  timer.unref()
  return async () => {
    clearInterval(timer)
    await working
  }
}

/** The waits of a workshop that ended after the one moment and by the other; a cover is there once for each. */
export async function findEnded(
  sequelize: Sequelize,
  workshop: string,
  after: Date,
  by: Date,
): Promise<readonly EndedWait[]> {
  const rows = await sequelize.query<{ id: string; name: string | null; progress: Progress }>(
    `SELECT m.id, c.file->>'name' AS name, m.progress
     FROM makings m JOIN covers c ON c.id = m.id AND c.workshop_id = m.workshop_id
     WHERE m.workshop_id = $1 AND m.updated_at > $2 AND m.deleted_at IS NULL AND c.deleted_at IS NULL
     ORDER BY m.id`,
    { bind: [workshop, new Date(after.getTime() - longestMs)], type: QueryTypes.SELECT },
  )
  return rows.flatMap(({ id, name, progress }) =>
    Array.from({ length: countEnded(progress, after, by) }, () => ({
      coverId: id,
      cover: name ?? 'A cover without a name',
    })),
  )
}
