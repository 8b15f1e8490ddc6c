import { shelfEntry, type ShelfEntry } from '@snowdrift/core'
import { QueryTypes } from 'sequelize'
import type { Session } from '../session.js'

/** All covers of a workshop, each in a line. */
export interface ShelfRepository {
  /** The latest change first; at most `mostOnShelf`. */
  readonly list: (workshop: string) => Promise<readonly ShelfEntry[]>
}

/** More than anybody makes in a life. */
export const mostOnShelf = 10_000

/**
 * One statement, so that the files, which are long, stay in the database, where each is read through once. A cover is cut once a cutting step of it is
 * done, on the bench once any is that comes after, made once it stands in the log, worn once its maker says so. It is pinned
 * in its own cutting, or, where it has none, in one of several that it is in.
 */
const statement = `
  WITH pinned AS (
    SELECT DISTINCT ON (cover.id) k.id, cover.id::uuid AS cover
    FROM cuttings k CROSS JOIN LATERAL json_array_elements_text(k.plan->'coverIds') AS cover(id)
    WHERE k.workshop_id = $1 AND k.deleted_at IS NULL AND json_array_length(k.plan->'pins') > 0
      AND (k.id = cover.id::uuid OR NOT EXISTS (SELECT 1 FROM cuttings own
        WHERE own.id = cover.id::uuid AND own.workshop_id = $1 AND own.deleted_at IS NULL))
    ORDER BY cover.id, k.seq DESC
  )
  SELECT c.id, c.version, c.updated_at AS "updatedAt", f.name, f.family,
    COALESCE(f.object->>'kind', f.objects->0->>'kind', '') AS kind,
    t.name AS thing, t.id AS "thingId",
    ARRAY(
      SELECT layer->>'name' FROM json_array_elements(
        CASE json_typeof(f.layers) WHEN 'array' THEN f.layers ELSE '[]'::json END
      ) AS layer WHERE layer->>'name' <> ''
    ) AS cloths,
    CASE
      WHEN (s.mark->>'worn') = 'true' THEN 'worn'
      WHEN EXISTS (SELECT 1 FROM makes l
        WHERE l.workshop_id = c.workshop_id AND l.cover_id = c.id AND l.deleted_at IS NULL) THEN 'made'
      WHEN d.others > 0 THEN 'bench'
      WHEN d.cuts > 0 THEN 'cut'
      ELSE 'draft'
    END AS state,
    s.mark->>'due' AS due,
    COALESCE((s.mark->>'archived') = 'true', false) AS archived,
    COALESCE((s.mark->>'planned') = 'true', false) AS planned, p.id AS pinned
  FROM covers c
  CROSS JOIN LATERAL
    json_to_record(c.file) AS f(name text, family text, object json, objects json, layers json)
  LEFT JOIN things t ON t.id = c.thing_id AND t.workshop_id = c.workshop_id AND t.deleted_at IS NULL
  LEFT JOIN marks s ON s.id = c.id AND s.workshop_id = c.workshop_id AND s.deleted_at IS NULL
  LEFT JOIN makings m ON m.id = c.id AND m.workshop_id = c.workshop_id AND m.deleted_at IS NULL
  LEFT JOIN LATERAL (
    SELECT count(*) FILTER (WHERE step.key LIKE 'cut-%') AS cuts,
      count(*) FILTER (WHERE step.key NOT LIKE 'cut-%' AND step.key <> ALL ($2)) AS others
    FROM json_each(COALESCE(m.progress->'steps', '{}'::json)) AS step
    WHERE step.value->>'state' = 'done'
  ) d ON true
  LEFT JOIN pinned p ON p.cover = c.id
  WHERE c.workshop_id = $1 AND c.deleted_at IS NULL
  ORDER BY c.seq DESC LIMIT ${mostOnShelf}`

/** Steps that come before the cutting: nothing is made of the cover yet. */
const preparations = ['measure-thing', 'wash-cloth', 'press-cloth', 'straighten-cloth']

export function createShelfRepository({ sequelize, transaction }: Session): ShelfRepository {
  return {
    list: async workshop => {
      const rows = await sequelize.query<Record<string, unknown> & { readonly updatedAt: Date }>(statement, {
        bind: [workshop, preparations],
        type: QueryTypes.SELECT,
        transaction,
      })
      return rows.map(row =>
        shelfEntry.parse({
          ...row,
          name: row.name ?? '',
          family: row.family ?? '',
          updatedAt: row.updatedAt.toISOString(),
        }),
      )
    },
  }
}
