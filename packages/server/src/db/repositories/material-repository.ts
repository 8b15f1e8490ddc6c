import { sayUnit, type MaterialBody, type MaterialRow } from '@snowdrift/core'
import type { Session } from '../session.js'
import type { RowRepository } from './row-repository.js'
import type { StashRepository } from './stash-repository.js'
import type { Written } from './written.js'

type MaterialRows = RowRepository<MaterialRow, MaterialBody>

/**
 * The rows of the stash. Each change leaves a line of history in the same transaction, and pieces keep their size
 * when their material takes another unit. `bind` gives the two over another session.
 */
export function withHistory(
  session: Session,
  bind: (session: Session) => { readonly rows: MaterialRows; readonly stash: StashRepository },
): MaterialRows {
  const { rows } = bind(session)
  const within = <Result>(work: (bound: ReturnType<typeof bind>) => Promise<Result>) =>
    session.together(inner => work(bind(inner)))
  return {
    ...rows,
    create: (workshop, body) =>
      within(async bound => {
        const row = await bound.rows.create(workshop, body)
        await bound.stash.note(workshop, [added(row)])
        return row
      }),
    createAll: (workshop, bodies) =>
      within(async bound => {
        const made = await bound.rows.createAll(workshop, bodies)
        await bound.stash.note(workshop, made.map(added))
        return made
      }),
    update: (workshop, id, basedOn, body) =>
      within(async bound => {
        const before = await bound.rows.find(workshop, id)
        const written = await bound.rows.update(workshop, id, basedOn, body)
        if (written.kind !== 'written' || written.row.version === before?.version) return written
        if (before && before.unit !== written.row.unit)
          await bound.stash.restate(workshop, id, typed => sayUnit(typed, before.unit))
        await bound.stash.note(workshop, [before ? eventOf(written.row, 'changed') : added(written.row)])
        return written
      }),
    remove: (workshop, id, version) =>
      within(async bound => {
        const written: Written<MaterialRow> = await bound.rows.remove(workshop, id, version)
        if (written.kind === 'written') await bound.stash.note(workshop, [eventOf(written.row, 'deleted')])
        return written
      }),
    restore: (workshop, id) =>
      within(async bound => {
        const row = await bound.rows.restore(workshop, id)
        if (row) await bound.stash.note(workshop, [eventOf(row, 'restored')])
        return row
      }),
  }
}

function added(row: MaterialRow) {
  return eventOf(row, 'added')
}

function eventOf({ id, material }: MaterialRow, what: 'added' | 'changed' | 'deleted' | 'restored') {
  return { materialId: id, what, detail: material.name }
}
