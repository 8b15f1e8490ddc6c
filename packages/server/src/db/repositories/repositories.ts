import {
  coverColumns,
  coverRow,
  cuttingColumns,
  cuttingRow,
  makeColumns,
  makeRow,
  makingColumns,
  makingRow,
  markColumns,
  markRow,
  materialColumns,
  materialRow,
  ruleColumns,
  ruleRow,
  thingColumns,
  thingRow,
  type CoverBody,
  type CoverRow,
  type CuttingBody,
  type CuttingRow,
  type MakeBody,
  type MakeRow,
  type MakingBody,
  type MakingRow,
  type MarkBody,
  type MarkRow,
  type MaterialBody,
  type MaterialRow,
  type RuleBody,
  type RuleRow,
  type ThingBody,
  type ThingRow,
} from '@snowdrift/core'
import { openSession, type Session } from '../session.js'
import type { Database } from '../connect.js'
import { createArchiveRepository, type ArchiveRepository } from './archive-repository.js'
import { createDeviceRepository, type DeviceRepository } from './device-repository.js'
import { createAnswerRepository, type AnswerRepository } from './answer-repository.js'
import { createErrandRepository, type ErrandRepository } from './errand-repository.js'
import { withKeptPieces } from './cover-repository.js'
import { withHistory } from './material-repository.js'
import { createPictureRepository, type PictureRepository } from './picture-repository.js'
import { createPhotoRepository, type PhotoRepository } from './photo-repository.js'
import { createShelfRepository, type ShelfRepository } from './shelf-repository.js'
import { createPeopleRepositories, type PeopleRepositories } from './people/people-repositories.js'
import { createRowRepository, type RowRepository } from './row-repository.js'
import { createSettingsRepository, type SettingsRepository } from './settings-repository.js'
import { createShareRepository, type ShareRepository } from './share-repository.js'
import { createStashRepository, type StashRepository } from './stash-repository.js'
import type { RepositoryTools } from './tools.js'
import { holdWorkshop } from './workshops.js'

export interface Repositories {
  readonly things: RowRepository<ThingRow, ThingBody>
  readonly covers: RowRepository<CoverRow, CoverBody>
  readonly materials: RowRepository<MaterialRow, MaterialBody>
  readonly cuttings: RowRepository<CuttingRow, { readonly plan: CuttingBody }>
  readonly rules: RowRepository<RuleRow, RuleBody>
  readonly makings: RowRepository<MakingRow, MakingBody>
  readonly makes: RowRepository<MakeRow, MakeBody>
  readonly marks: RowRepository<MarkRow, MarkBody>
  readonly shelf: ShelfRepository
  readonly photos: PhotoRepository
  readonly stash: StashRepository
  readonly pictures: PictureRepository
  readonly settings: SettingsRepository
  readonly answers: AnswerRepository
  readonly archive: ArchiveRepository
  readonly shares: ShareRepository
  readonly devices: DeviceRepository
  readonly people: PeopleRepositories
  readonly errands: ErrandRepository
  /** Within `together`: whoever else wants to hold the workshop waits until this is done. */
  readonly hold: (workshop: string) => Promise<void>
  /** Reads only, and everything as it stood when the work began. */
  readonly snapshot: <Result>(work: (inside: Repositories) => Promise<Result>) => Promise<Result>
  /** Does all of it or nothing; what throws takes everything back. */
  readonly together: <Result>(work: (inside: Repositories) => Promise<Result>) => Promise<Result>
}

export function createRepositories(database: Database, tools: RepositoryTools): Repositories {
  return over(openSession(database), tools)
}

function over(session: Session, tools: RepositoryTools): Repositories {
  const stashOver = (inner: Session) => createStashRepository(inner, tools)
  return {
    things: createRowRepository({
      model: session.models.Thing,
      columns: thingColumns,
      schema: thingRow,
      session,
      ...tools,
    }),
    covers: withKeptPieces(session, inner => ({ rows: coversOver(inner, tools), stash: stashOver(inner) })),
    materials: withHistory(session, inner => ({
      rows: materialsOver(inner, tools),
      stash: stashOver(inner),
    })),
    cuttings: createRowRepository({
      model: session.models.Cutting,
      columns: cuttingColumns,
      schema: cuttingRow,
      session,
      ...tools,
    }),
    rules: createRowRepository({
      model: session.models.Rule,
      columns: ruleColumns,
      schema: ruleRow,
      session,
      ...tools,
    }),
    makings: createRowRepository({
      model: session.models.Making,
      columns: makingColumns,
      schema: makingRow,
      session,
      ...tools,
    }),
    makes: createRowRepository({
      model: session.models.Make,
      columns: makeColumns,
      schema: makeRow,
      session,
      ...tools,
    }),
    marks: createRowRepository({
      model: session.models.ShelfMark,
      columns: markColumns,
      schema: markRow,
      session,
      ...tools,
    }),
    shelf: createShelfRepository(session),
    photos: createPhotoRepository(session),
    stash: stashOver(session),
    pictures: createPictureRepository(session),
    settings: createSettingsRepository(session),
    answers: createAnswerRepository(session, tools),
    archive: createArchiveRepository(session, tools),
    shares: createShareRepository(session, tools),
    devices: createDeviceRepository(session, tools),
    people: createPeopleRepositories(session, tools),
    errands: createErrandRepository(session, tools),
    hold: workshop => holdWorkshop(session, workshop),
    snapshot: work =>
      session.together(async inner => {
        const { sequelize, transaction } = inner
        await sequelize.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ, READ ONLY', { transaction })
        return work(over(inner, tools))
      }),
    together: work => session.together(inner => work(over(inner, tools))),
  }
}

function coversOver(session: Session, tools: RepositoryTools) {
  return createRowRepository({
    model: session.models.Cover,
    columns: coverColumns,
    schema: coverRow,
    session,
    ...tools,
  })
}

function materialsOver(session: Session, tools: RepositoryTools) {
  return createRowRepository({
    model: session.models.Material,
    columns: materialColumns,
    schema: materialRow,
    session,
    ...tools,
  })
}
