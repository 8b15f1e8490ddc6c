import {
  coverRow,
  cuttingRow,
  materialRow,
  thingRow,
  type CoverBody,
  type CoverRow,
  type CuttingBody,
  type CuttingRow,
  type MaterialBody,
  type MaterialRow,
  type ThingBody,
  type ThingRow,
} from '@snowdrift/core'
import type { Database } from '../connect.js'
import { withHistory } from './material-repository.js'
import { createPictureRepository, type PictureRepository } from './picture-repository.js'
import { createRowRepository, type RowRepository } from './row-repository.js'
import { createSettingsRepository, type SettingsRepository } from './settings-repository.js'
import { createStashRepository, type StashRepository } from './stash-repository.js'
import type { RepositoryTools } from './tools.js'

export interface Repositories {
  readonly things: RowRepository<ThingRow, ThingBody>
  readonly covers: RowRepository<CoverRow, CoverBody>
  readonly materials: RowRepository<MaterialRow, MaterialBody>
  readonly cuttings: RowRepository<CuttingRow, { readonly plan: CuttingBody }>
  readonly stash: StashRepository
  readonly pictures: PictureRepository
  readonly settings: SettingsRepository
}

export function createRepositories(database: Database, tools: RepositoryTools): Repositories {
  const { models, sequelize } = database
  const shared = { sequelize, ...tools }
  const stash = createStashRepository(database, tools)
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
    materials: withHistory(
      createRowRepository<MaterialRow, MaterialBody>({
        model: models.Material,
        columns: ['unit', 'swatch', 'material', 'stock', 'picture'],
        schema: materialRow,
        ...shared,
      }),
      stash,
    ),
    cuttings: createRowRepository({
      model: models.Cutting,
      columns: ['plan'],
      schema: cuttingRow,
      ...shared,
    }),
    stash,
    pictures: createPictureRepository(database),
    settings: createSettingsRepository(models),
  }
}
