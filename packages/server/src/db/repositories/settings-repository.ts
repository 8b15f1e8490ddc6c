import { settingsRow, type SettingsBody, type SettingsRow } from '@snowdrift/core'
import type { Session } from '../session.js'
import { missed, type Written } from './written.js'

/** A workshop's settings: there is always one row, made with the workshop. */
export interface SettingsRepository {
  readonly find: (workshop: string) => Promise<SettingsRow>
  /** A write of what stands there already is none, and no conflict, whatever it was based on. */
  readonly update: (workshop: string, version: number, body: SettingsBody) => Promise<Written<SettingsRow>>
}

export function createSettingsRepository({ models, transaction }: Session): SettingsRepository {
  const { Settings } = models
  const find = async (workshop: string) =>
    readRow(await Settings.findByPk(workshop, { raw: true, rejectOnEmpty: true, transaction }))
  return {
    find,
    update: async (workshopId, version, body) => {
      const changed = { ...body, version: version + 1 }
      const where = { workshopId, version }
      const [, rows] = await Settings.update(changed, { where, returning: true, transaction })
      return rows[0] ? { kind: 'written', row: readRow(rows[0].get()) } : missed(await find(workshopId), body)
    },
  }
}

function readRow(stored: unknown): SettingsRow {
  const { workshopId: _workshop, ...row } = stored as Record<string, unknown>
  return settingsRow.parse(row)
}
