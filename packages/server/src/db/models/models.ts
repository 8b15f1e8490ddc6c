import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize'

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

export interface Models {
  readonly Workshop: ModelStatic<Model<{ id: string; slug: string }>>
  readonly Thing: RowModel
  readonly Cover: RowModel
  readonly Material: RowModel
  readonly Cutting: RowModel
  readonly StashPiece: RowModel
  readonly StashEvent: ModelStatic<Model<StashEventColumns>>
  readonly Picture: ModelStatic<Model<PictureColumns>>
  readonly Settings: ModelStatic<Model<SettingsColumns>>
  readonly Answer: ModelStatic<Model<AnswerColumns>>
}

export interface AnswerColumns {
  workshopId: string
  key: string
  fingerprint: string
  answer: object | null
  at: Date
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

export interface SettingsColumns {
  workshopId: string
  version: number
  unit: string
  grid: string | null
  tapeDivision: string | null
  seam: string | null
  currency: string
}

/** The tables as Sequelize sees them; the migrations make them. */
export function defineModels(sequelize: Sequelize): Models {
  const options = { underscored: true, timestamps: false } as const
  return {
    Workshop: sequelize.define('workshop', { id: key(), slug: DataTypes.STRING }, options),
    Thing: defineRows(sequelize, 'thing', {
      name: DataTypes.STRING,
      unit: DataTypes.STRING,
      object: DataTypes.JSON,
    }),
    Cover: defineRows(sequelize, 'cover', { thingId: DataTypes.UUID, file: DataTypes.JSON }),
    Material: defineRows(sequelize, 'material', {
      unit: DataTypes.STRING,
      swatch: DataTypes.STRING,
      material: DataTypes.JSON,
      stock: DataTypes.JSON,
      picture: DataTypes.INTEGER,
    }),
    Cutting: defineRows(sequelize, 'cutting', { plan: DataTypes.JSON }),
    StashPiece: defineRows(sequelize, 'stash_piece', {
      materialId: DataTypes.UUID,
      source: DataTypes.STRING,
      width: DataTypes.JSON,
      length: DataTypes.JSON,
      count: DataTypes.INTEGER,
      note: DataTypes.STRING,
      state: DataTypes.STRING,
      coverId: DataTypes.UUID,
    }),
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
    Settings: sequelize.define(
      'settings',
      {
        workshopId: key(),
        version: DataTypes.INTEGER,
        unit: DataTypes.STRING,
        grid: DataTypes.STRING,
        tapeDivision: DataTypes.STRING,
        seam: DataTypes.STRING,
        currency: DataTypes.STRING,
      },
      { ...options, tableName: 'settings' },
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
  }
}

function defineRows(sequelize: Sequelize, name: string, columns: Record<string, unknown>): RowModel {
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
      ...columns,
    },
    { underscored: true, timestamps: false },
  )
}

function key() {
  return { type: DataTypes.UUID, primaryKey: true }
}
