import {
  codeLength,
  codeLetters,
  codeMinutes,
  type PairBody,
  type PairedDevice,
  type PairingCode,
} from '@snowdrift/core'
import { randomInt } from 'node:crypto'
import { Op } from 'sequelize'
import type { DeviceColumns } from '../models/models.js'
import type { Session } from '../session.js'
import { createSecret, hashOf } from './secret.js'
import type { RepositoryTools } from './tools.js'

/** A device that somebody came with, and which workshop lets it in. */
export interface KnownDevice {
  readonly workshop: string
  readonly device: PairedDevice
}

/** Devices that a workshop lets in. Of codes and tokens only hashes are kept: whoever reads the database has none. */
export interface DeviceRepository {
  /** Those that are let in, the last that came the first. */
  readonly list: (workshop: string) => Promise<readonly PairedDevice[]>
  /** A code by which one device may come in, once and soon; what was shown before leads nowhere any more. */
  readonly openCode: (workshop: string) => Promise<PairingCode>
  /** Lets a device in and uses up its code; undefined where the code is wrong, used or too old, which looks all the same. */
  readonly pair: (body: PairBody) => Promise<(KnownDevice & { readonly token: string }) | undefined>
  /** Undefined where nobody has such a token, or not any more. */
  readonly find: (token: string) => Promise<KnownDevice | undefined>
  /** From now on it stays outside; false where it was no such device. */
  readonly revoke: (workshop: string, id: string) => Promise<boolean>
  /** Whether the workshop is reached from other machines. */
  readonly isShared: (workshop: string) => Promise<boolean>
  readonly setShared: (workshop: string, isShared: boolean) => Promise<void>
}

const minuteMs = 60_000
/** A device that did not come for so long is forgotten: it may have changed hands. */
const longestAwayMs = 400 * 24 * 60 * minuteMs

export function createDeviceRepository(
  { models: { Device, PairingCode, Workshop }, transaction, together }: Session,
  { now, newId }: RepositoryTools,
): DeviceRepository {
  const letIn = () => ({ revokedAt: null, seenAt: { [Op.gt]: new Date(now().getTime() - longestAwayMs) } })
  return {
    list: async workshopId => {
      const where = { workshopId, ...letIn() }
      const rows = await Device.findAll({
        where,
        order: [['seenAt', 'DESC']],
        limit: 100,
        raw: true,
        transaction,
      })
      return (rows as unknown as DeviceColumns[]).map(readDevice)
    },
    openCode: workshopId =>
      together(async inside => {
        const code = Array.from(
          { length: codeLength },
          () => codeLetters[randomInt(codeLetters.length)],
        ).join('')
        const expiresAt = new Date(now().getTime() + codeMinutes * minuteMs)
        await PairingCode.destroy({ where: { workshopId }, transaction: inside.transaction })
        await PairingCode.create(
          { id: newId(), workshopId, codeHash: hashOf(code), expiresAt },
          { transaction: inside.transaction },
        )
        return { code, expiresAt: expiresAt.toISOString() }
      }),
    pair: ({ code, name }) =>
      together(async inside => {
        const where = { codeHash: hashOf(code), expiresAt: { [Op.gt]: now() } }
        const found = await PairingCode.findOne({ where, transaction: inside.transaction })
        // Whoever deletes it has it: of two that come at once, one.
        const taken = await PairingCode.destroy({ where, transaction: inside.transaction })
        if (!found || taken === 0) return undefined
        const token = createSecret()
        const at = now()
        const row: DeviceColumns = {
          id: newId(),
          workshopId: found.get().workshopId,
          name,
          tokenHash: hashOf(token),
          createdAt: at,
          seenAt: at,
          revokedAt: null,
        }
        await Device.create(row, { transaction: inside.transaction })
        return { ...known(row), token }
      }),
    find: async token => {
      const where = { tokenHash: hashOf(token), ...letIn() }
      const row = (await Device.findOne({ where, raw: true, transaction })) as unknown as DeviceColumns | null
      if (!row) return undefined
      const at = now()
      if (at.getTime() - row.seenAt.getTime() < minuteMs) return known(row)
      await Device.update({ seenAt: at }, { where: { id: row.id, revokedAt: null }, transaction })
      return known({ ...row, seenAt: at })
    },
    revoke: async (workshopId, id) => {
      const where = { workshopId, id, revokedAt: null }
      const [changed] = await Device.update({ revokedAt: now() }, { where, transaction })
      return changed > 0
    },
    isShared: async workshop =>
      (await Workshop.findByPk(workshop, { rejectOnEmpty: true, transaction })).get().shared,
    setShared: async (id, shared) => {
      await Workshop.update({ shared }, { where: { id }, transaction })
    },
  }
}

function known(row: DeviceColumns): KnownDevice {
  return { workshop: row.workshopId, device: readDevice(row) }
}

function readDevice({ id, name, createdAt, seenAt }: DeviceColumns): PairedDevice {
  return { id, name, createdAt: createdAt.toISOString(), seenAt: seenAt.toISOString() }
}
