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
import type { Models } from '../models/models.js'
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

export function createRepositories(models: Models, tools: RepositoryTools): Repositories {
  return {
    things: createRowRepository({
      model: models.Thing,
      columns: ['name', 'unit', 'object'],
      schema: thingRow,
      ...tools,
    }),
    covers: createRowRepository({
      model: models.Cover,
      columns: ['thingId', 'file'],
      schema: coverRow,
      ...tools,
    }),
    materials: createRowRepository({
      model: models.Material,
      columns: ['unit', 'swatch', 'material'],
      schema: materialRow,
      ...tools,
    }),
    settings: createSettingsRepository(models),
  }
}
