import type { MemberRole } from '@snowdrift/core'
import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize'

/** The tables of people, where Snowdrift is hosted. */
export interface PeopleModels {
  readonly Person: ModelStatic<Model<PersonColumns>>
  readonly Membership: ModelStatic<Model<MembershipColumns>>
  readonly Invitation: ModelStatic<Model<InvitationColumns>>
  readonly Passkey: ModelStatic<Model<PasskeyColumns>>
  readonly Ceremony: ModelStatic<Model<CeremonyColumns>>
  readonly RecoveryCode: ModelStatic<Model<RecoveryCodeColumns>>
  readonly KnownBrowser: ModelStatic<Model<KnownBrowserColumns>>
}

export interface PersonColumns {
  id: string
  signInName: string
  name: string
  passphraseHash: string | null
  createdAt: Date
}

export interface MembershipColumns {
  personId: string
  workshopId: string
  role: MemberRole
  since: Date
}

export interface InvitationColumns {
  id: string
  workshopId: string
  role: MemberRole
  tokenHash: string
  createdAt: Date
  expiresAt: Date
}

export interface PasskeyColumns {
  id: string
  personId: string
  credentialId: string
  publicKey: Buffer
  /** Counts up with each use, where the authenticator counts at all. */
  counter: string | number
  transports: readonly string[]
  name: string
  createdAt: Date
  usedAt: Date | null
}

/** What a browser was asked, until it answers or it is too late. */
export interface CeremonyColumns {
  id: string
  challenge: string
  purpose: 'add' | 'show'
  personId: string | null
  expiresAt: Date
}

export interface RecoveryCodeColumns {
  personId: string
  codeHash: string
}

/** A browser in which somebody signed in before. */
export interface KnownBrowserColumns {
  personId: string
  tokenHash: string
  seenAt: Date
  /** Up to when it told its person what became of their account. */
  toldAt: Date
}

export function definePeople(sequelize: Sequelize): PeopleModels {
  const options = { underscored: true, timestamps: false } as const
  const uuid = DataTypes.UUID
  const text = DataTypes.TEXT
  const time = DataTypes.DATE
  return {
    Person: sequelize.define(
      'person',
      { id: key(), signInName: text, name: text, passphraseHash: text, createdAt: time },
      { ...options, tableName: 'people' },
    ),
    Membership: sequelize.define(
      'membership',
      { personId: key(), workshopId: key(), role: text, since: time },
      options,
    ),
    Invitation: sequelize.define(
      'invitation',
      { id: key(), workshopId: uuid, role: text, tokenHash: text, createdAt: time, expiresAt: time },
      options,
    ),
    Passkey: sequelize.define(
      'passkey',
      {
        id: key(),
        personId: uuid,
        credentialId: text,
        publicKey: DataTypes.BLOB,
        counter: DataTypes.BIGINT,
        transports: DataTypes.JSON,
        name: text,
        createdAt: time,
        usedAt: time,
      },
      options,
    ),
    Ceremony: sequelize.define(
      'ceremony',
      { id: key(), challenge: text, purpose: text, personId: uuid, expiresAt: time },
      { ...options, tableName: 'ceremonies' },
    ),
    RecoveryCode: sequelize.define(
      'recovery_code',
      { personId: uuid, codeHash: { type: text, primaryKey: true } },
      options,
    ),
    KnownBrowser: sequelize.define(
      'known_browser',
      { personId: key(), tokenHash: { type: text, primaryKey: true }, seenAt: time, toldAt: time },
      options,
    ),
  }
}

function key() {
  return { type: DataTypes.UUID, primaryKey: true }
}
