import {
  coverRow,
  materialRow,
  thingRow,
  type CoverBody,
  type CoverRow,
  type MaterialBody,
  type MaterialRow,
  type ThingBody,
  type ThingRow,
} from '@snowdrift/core'
import type { Database } from '../connect.js'
import { createRowRepository, type RowRepository } from './row-repository.js'
import { createSettingsRepository, type SettingsRepository } from './settings-repository.js'

export interface Repositories {
  readonly things: RowRepository<ThingRow, ThingBody>
  readonly covers: RowRepository<CoverRow, CoverBody>
  readonly materials: RowRepository<MaterialRow, MaterialBody>
  readonly settings: SettingsRepository
}

export interface RepositoryTools {
  readonly now: () => Date
  readonly newId: () => string
}

export function createRepositories({ models, sequelize }: Database, tools: RepositoryTools): Repositories {
  const shared = { sequelize, ...tools }
  return {
    things: createRowRepository({
      model: models.Thing,
      columns: ['name', 'unit', 'object'],
      schema: thingRow,
      ...shared,
    }),
    covers: createRowRepository({
      model: models.Cover,
      columns: ['thingId', 'file'],
      schema: coverRow,
      ...shared,
    }),
    materials: createRowRepository({
      model: models.Material,
      columns: ['unit', 'swatch', 'material'],
      schema: materialRow,
      ...shared,
    }),
    settings: createSettingsRepository(models),
  }
}
