import {
  coverColumns,
  cuttingColumns,
  makeColumns,
  makingColumns,
  markColumns,
  materialColumns,
  ruleColumns,
  settingFields,
  stashPieceColumns,
  thingColumns,
  type ColumnKind,
  type Columns,
  type Errand,
  type ErrandRequest,
  type OwnersAnswer,
  type SettingsRow,
  type ShareKind,
  type StandingChoice,
} from '@snowdrift/core'
import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize'
import { definePeople, type PeopleModels } from './people-models.js'

/** What every row of a workshop carries beside its own columns. */
export interface StoredColumns {
  readonly id: string
  readonly workshopId: string
  readonly version: number
  /** Counts up with each row: the order of a list, and the cursor of its pages. */
  readonly seq: string
  readonly createdAt: Date
  readonly updatedAt: Date
  readonly deletedAt: Date | null
}

export type RowModel = ModelStatic<Model<StoredColumns & Record<string, unknown>>>

export interface Models extends PeopleModels {
  readonly Workshop: ModelStatic<
    Model<
      { id: string; slug: string; name: string; shared: boolean },
      { id: string; slug: string; name?: string }
    >
  >
  readonly Thing: RowModel
  readonly Cover: RowModel
  readonly Material: RowModel
  readonly Cutting: RowModel
  readonly Rule: RowModel
  readonly Making: RowModel
  readonly Make: RowModel
  readonly ShelfMark: RowModel
  readonly StashPiece: RowModel
  readonly StashEvent: ModelStatic<Model<StashEventColumns>>
  readonly Picture: ModelStatic<Model<PictureColumns>>
  readonly Photo: ModelStatic<Model<PhotoColumns>>
  readonly Settings: ModelStatic<Model<SettingsColumns>>
  readonly Answer: ModelStatic<Model<AnswerColumns>>
  readonly Share: ModelStatic<Model<ShareColumns>>
  readonly Device: ModelStatic<Model<DeviceColumns>>
  readonly PairingCode: ModelStatic<Model<PairingCodeColumns>>
  readonly Try: ModelStatic<Model<TryColumns>>
  readonly Errand: ModelStatic<Model<ErrandColumns>>
  readonly ErrandPart: ModelStatic<Model<ErrandPartColumns>>
}

export interface AnswerColumns {
  workshopId: string
  key: string
  fingerprint: string
  answer: object | null
  at: Date
}

export interface ShareColumns {
  id: string
  workshopId: string
  kind: ShareKind
  coverId: string
  thing: number
  tokenHash: string
  createdAt: Date
  expiresAt: Date
  revokedAt: Date | null
  triesLeft: number
  answer: OwnersAnswer | null
}

export interface DeviceColumns {
  id: string
  workshopId: string
  name: string
  tokenHash: string
  createdAt: Date
  seenAt: Date
  revokedAt: Date | null
}

export interface PairingCodeColumns {
  id: string
  workshopId: string
  codeHash: string
  expiresAt: Date
}

/** How often something was tried; the package that limits it writes the rows. */
export interface TryColumns {
  key: string
  points: number
  expire: string | null
}

export interface StashEventColumns {
  workshopId: string
  materialId: string
  at: Date
  what: string
  detail: string
}

export interface PictureColumns {
  workshopId: string
  materialId: string
  bytes: Buffer
}

/** An archive that somebody brought. */
export interface ArchiveBrought {
  readonly kind: 'archive-in'
  readonly choice: StandingChoice
  /** Whether it is taken, or only told what that would do. */
  readonly keeps: boolean
}

export interface ErrandColumns {
  id: string
  workshopId: string
  asked: ErrandRequest | ArchiveBrought
  state: Errand['state']
  part: number
  file: Errand['file'] | null
  archive: Errand['archive'] | null
  why: string | null
  at: Date
  /** How often it was begun. */
  run: number
  /** When whoever does it was last heard of. */
  toldAt: Date
}

/** What an errand has written in one run, or what was brought for it, cut into parts that a row holds easily. */
export interface ErrandPartColumns {
  errandId: string
  run: number
  number: number
  bytes: Buffer
}

export interface PhotoColumns {
  workshopId: string
  id: string
  makeId: string
  bytes: Buffer
}

export type SettingsColumns = SettingsRow & { readonly workshopId: string }

/** The tables as Sequelize sees them; the migrations make them. */
export function defineModels(sequelize: Sequelize): Models {
  const options = { underscored: true, timestamps: false } as const
  return {
    Workshop: sequelize.define(
      'workshop',
      { id: key(), slug: DataTypes.STRING, name: DataTypes.TEXT, shared: DataTypes.BOOLEAN },
      options,
    ),
    Thing: defineRows(sequelize, 'thing', thingColumns),
    Cover: defineRows(sequelize, 'cover', coverColumns),
    Material: defineRows(sequelize, 'material', materialColumns),
    Cutting: defineRows(sequelize, 'cutting', cuttingColumns),
    Rule: defineRows(sequelize, 'rule', ruleColumns),
    Making: defineRows(sequelize, 'making', makingColumns),
    Make: defineRows(sequelize, 'make', makeColumns),
    ShelfMark: defineRows(sequelize, 'mark', markColumns),
    StashPiece: defineRows(sequelize, 'stash_piece', stashPieceColumns),
    StashEvent: sequelize.define(
      'stash_event',
      {
        id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
        workshopId: DataTypes.UUID,
        materialId: DataTypes.UUID,
        at: DataTypes.DATE,
        what: DataTypes.STRING,
        detail: DataTypes.TEXT,
      },
      options,
    ),
    Picture: sequelize.define(
      'picture',
      { materialId: key(), workshopId: DataTypes.UUID, bytes: DataTypes.BLOB },
      options,
    ),
    Photo: sequelize.define(
      'photo',
      { workshopId: key(), id: key(), makeId: DataTypes.UUID, bytes: DataTypes.BLOB },
      options,
    ),
    Settings: sequelize.define(
      'settings',
      { workshopId: key(), version: DataTypes.INTEGER, ...attributesOf(settingFields) },
      { ...options, tableName: 'settings' },
    ),
    Errand: sequelize.define(
      'errand',
      {
        id: key(),
        workshopId: DataTypes.UUID,
        asked: DataTypes.JSONB,
        state: DataTypes.STRING,
        part: DataTypes.REAL,
        file: DataTypes.JSONB,
        archive: DataTypes.JSONB,
        why: DataTypes.TEXT,
        at: DataTypes.DATE,
        run: DataTypes.INTEGER,
        toldAt: DataTypes.DATE,
      },
      options,
    ),
    ErrandPart: sequelize.define(
      'errand_part',
      {
        errandId: key(),
        run: { type: DataTypes.INTEGER, primaryKey: true },
        number: { type: DataTypes.INTEGER, primaryKey: true },
        bytes: DataTypes.BLOB,
      },
      options,
    ),
    Answer: sequelize.define(
      'answer',
      {
        workshopId: key(),
        key: key(),
        fingerprint: DataTypes.TEXT,
        answer: DataTypes.JSON,
        at: DataTypes.DATE,
      },
      options,
    ),
    Share: sequelize.define(
      'share',
      {
        id: key(),
        workshopId: DataTypes.UUID,
        kind: DataTypes.STRING,
        coverId: DataTypes.UUID,
        thing: DataTypes.INTEGER,
        tokenHash: DataTypes.TEXT,
        createdAt: DataTypes.DATE,
        expiresAt: DataTypes.DATE,
        revokedAt: DataTypes.DATE,
        triesLeft: DataTypes.INTEGER,
        answer: DataTypes.JSON,
      },
      options,
    ),
    Device: sequelize.define(
      'device',
      {
        id: key(),
        workshopId: DataTypes.UUID,
        name: DataTypes.TEXT,
        tokenHash: DataTypes.TEXT,
        createdAt: DataTypes.DATE,
        seenAt: DataTypes.DATE,
        revokedAt: DataTypes.DATE,
      },
      options,
    ),
    PairingCode: sequelize.define(
      'pairing_code',
      { id: key(), workshopId: DataTypes.UUID, codeHash: DataTypes.TEXT, expiresAt: DataTypes.DATE },
      options,
    ),
    Try: sequelize.define(
      'try',
      {
        key: { type: DataTypes.STRING, primaryKey: true },
        points: DataTypes.INTEGER,
        expire: DataTypes.BIGINT,
      },
      options,
    ),
    ...definePeople(sequelize),
  }
}

function defineRows(sequelize: Sequelize, name: string, columns: Columns): RowModel {
  return sequelize.define(
    name,
    {
      id: key(),
      workshopId: DataTypes.UUID,
      version: DataTypes.INTEGER,
      seq: { type: DataTypes.BIGINT, autoIncrement: true },
      createdAt: DataTypes.DATE,
      updatedAt: DataTypes.DATE,
      deletedAt: DataTypes.DATE,
      ...attributesOf(columns),
    },
    { underscored: true, timestamps: false },
  )
}

const columnTypes = {
  text: DataTypes.STRING,
  json: DataTypes.JSON,
  uuid: DataTypes.UUID,
  count: DataTypes.INTEGER,
} as const satisfies Readonly<Record<ColumnKind, unknown>>

function attributesOf(columns: Columns) {
  return Object.fromEntries(Object.entries(columns).map(([name, { kept }]) => [name, columnTypes[kept]]))
}

function key() {
  return { type: DataTypes.UUID, primaryKey: true }
}
