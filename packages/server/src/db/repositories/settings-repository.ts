import { settingsRow, type SettingsBody, type SettingsRow } from '@snowdrift/core'
import type { Models } from '../models/models.js'
import type { Written } from './row-repository.js'

/** A workshop's settings: there is always one row, made with the workshop. */
export interface SettingsRepository {
  readonly find: (workshop: string) => Promise<SettingsRow>
  readonly update: (workshop: string, version: number, body: SettingsBody) => Promise<Written<SettingsRow>>
}

export function createSettingsRepository({ Settings }: Models): SettingsRepository {
  const find = async (workshop: string) => {
    const found = await Settings.findByPk(workshop, { raw: true, rejectOnEmpty: true })
    return readRow(found)
  }
  return {
    find,
    update: async (workshopId, version, body) => {
      const changed = { ...body, version: version + 1 }
      const [, rows] = await Settings.update(changed, { where: { workshopId, version }, returning: true })
      const [row] = rows
      return row
        ? { kind: 'written', row: readRow(row.get()) }
        : { kind: 'stale', current: await find(workshopId) }
    },
  }
}

function readRow(stored: unknown): SettingsRow {
  const { workshopId: _workshop, ...row } = stored as Record<string, unknown>
  return settingsRow.parse(row)
}
