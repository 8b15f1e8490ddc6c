import { isDeepStrictEqual } from 'node:util'
import { settingsRow, type SettingsBody, type SettingsRow } from '@snowdrift/core'
import type { Session } from '../session.js'
import type { Written } from './row-repository.js'

/** A workshop's settings: there is always one row, made with the workshop. */
export interface SettingsRepository {
  readonly find: (workshop: string) => Promise<SettingsRow>
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
      if (rows[0]) return { kind: 'written', row: readRow(rows[0].get()) }
      const current = await find(workshopId)
      const { version: _version, ...stands } = current
      return isDeepStrictEqual(stands, body) ? { kind: 'written', row: current } : { kind: 'stale', current }
    },
  }
}

function readRow(stored: unknown): SettingsRow {
  const { workshopId: _workshop, ...row } = stored as Record<string, unknown>
  return settingsRow.parse(row)
}
