import type { Passkey } from '@snowdrift/core'
import { Op } from 'sequelize'
import type { CeremonyColumns, PasskeyColumns } from '../../models/people-models.js'
import type { Session } from '../../session.js'
import type { RepositoryTools } from '../tools.js'

export type StoredPasskey = PasskeyColumns
export type Ceremony = Omit<CeremonyColumns, 'expiresAt'>

/** Keys that people’s devices hold for them: here is only the half by which they are proved. */
export interface PasskeyRepository {
  readonly list: (person: string) => Promise<readonly StoredPasskey[]>
  readonly add: (passkey: Omit<StoredPasskey, 'id' | 'createdAt' | 'usedAt'>) => Promise<Passkey>
  readonly findByCredential: (credentialId: string) => Promise<StoredPasskey | undefined>
  readonly used: (id: string, counter: number) => Promise<void>
  readonly remove: (person: string, id: string) => Promise<boolean>
  readonly beginCeremony: (ceremony: Omit<Ceremony, 'id'>) => Promise<string>
  /** What a browser was asked, once: whoever answers a second time was not asked. */
  readonly takeCeremony: (id: string, purpose: Ceremony['purpose']) => Promise<Ceremony | undefined>
  readonly forgetOld: () => Promise<void>
}

const ceremonyMs = 5 * 60_000

export function createPasskeyRepository(
  { models: { Passkey, Ceremony }, transaction }: Session,
  { now, newId }: RepositoryTools,
): PasskeyRepository {
  return {
    list: async personId =>
      (await Passkey.findAll({
        where: { personId },
        order: [['createdAt', 'ASC']],
        raw: true,
        transaction,
      })) as unknown as StoredPasskey[],
    add: async passkey => {
      const row = { ...passkey, id: newId(), createdAt: now(), usedAt: null }
      await Passkey.create(row, { transaction })
      return readPasskey(row)
    },
    findByCredential: async credentialId =>
      ((await Passkey.findOne({
        where: { credentialId },
        raw: true,
        transaction,
      })) as unknown as StoredPasskey | null) ?? undefined,
    used: async (id, counter) => {
      await Passkey.update({ counter, usedAt: now() }, { where: { id }, transaction })
    },
    remove: async (personId, id) => (await Passkey.destroy({ where: { personId, id }, transaction })) > 0,
    beginCeremony: async ceremony => {
      const id = newId()
      const expiresAt = new Date(now().getTime() + ceremonyMs)
      await Ceremony.create({ ...ceremony, id, expiresAt }, { transaction })
      return id
    },
    takeCeremony: async (id, purpose) => {
      const where = { id, purpose, expiresAt: { [Op.gt]: now() } }
      const found = await Ceremony.findOne({ where, raw: true, transaction })
      const taken = found ? await Ceremony.destroy({ where, transaction }) : 0
      return taken === 1 ? (found as unknown as Ceremony) : undefined
    },
    forgetOld: async () => {
      await Ceremony.destroy({ where: { expiresAt: { [Op.lte]: now() } }, transaction })
    },
  }
}

export function readPasskey({ id, name, createdAt, usedAt }: StoredPasskey): Passkey {
  return { id, name, createdAt: createdAt.toISOString(), usedAt: usedAt?.toISOString() ?? null }
}
