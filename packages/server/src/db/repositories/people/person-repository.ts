import { codeLetters, recoveryCodeCount, recoveryCodeLength } from '@snowdrift/core'
import { randomInt } from 'node:crypto'
import { Op, QueryTypes } from 'sequelize'
import type { KnownBrowserColumns, PersonColumns } from '../../models/people-models.js'
import type { Session } from '../../session.js'
import { createSecret, hashOf } from '../secret.js'
import type { RepositoryTools } from '../tools.js'

export type Person = PersonColumns

/** People, and what they come in by beside passkeys. Of codes and tokens only hashes are kept. */
export interface PersonRepository {
  /** False where somebody else signs in by that name. */
  readonly create: (person: Omit<Person, 'createdAt'>) => Promise<boolean>
  readonly find: (id: string) => Promise<Person | undefined>
  readonly findBySignInName: (signInName: string) => Promise<Person | undefined>
  readonly rename: (id: string, name: string) => Promise<void>
  readonly setPassphrase: (id: string, passphraseHash: string) => Promise<void>
  /** Puts a hash of the same passphrase in the place of one, unless that was changed meanwhile. */
  readonly rehash: (id: string, from: string, to: string) => Promise<void>
  /** How many people's passphrases were made with which secret, by its name; without one it has none. */
  readonly countByPepper: () => Promise<readonly { readonly pepper: string; readonly people: number }[]>
  /** Takes them out of everything that they belong to, too. */
  readonly remove: (id: string) => Promise<void>
  /** Codes to come in by when all else is lost, each once. Those that were made before lead nowhere any more. */
  readonly makeCodes: (id: string) => Promise<readonly string[]>
  /** Uses a code up; false where there is none such: of two that come with it at once, one has it. */
  readonly useCode: (id: string, code: string) => Promise<boolean>
  readonly codesLeft: (id: string) => Promise<number>
  /** The token of a browser in which somebody signs in, by which it is known the next time. */
  readonly meetBrowser: (id: string, known: string | undefined) => Promise<string>
  readonly knowsBrowser: (id: string, token: string) => Promise<boolean>
}

/** More browsers than anybody has. */
const mostBrowsers = 30

export function createPersonRepository(
  { models: { Person, RecoveryCode, KnownBrowser }, sequelize, transaction, together }: Session,
  { now }: Pick<RepositoryTools, 'now'>,
): PersonRepository {
  const findOne = async (where: Partial<Person>) =>
    ((await Person.findOne({ where, raw: true, transaction })) as Person | null) ?? undefined
  return {
    create: async person => {
      const row = { ...person, createdAt: now() }
      await Person.bulkCreate([row], { ignoreDuplicates: true, transaction })
      return (await Person.count({ where: { id: person.id }, transaction })) === 1
    },
    find: id => findOne({ id }),
    findBySignInName: signInName => findOne({ signInName }),
    rename: async (id, name) => {
      await Person.update({ name }, { where: { id }, transaction })
    },
    setPassphrase: async (id, passphraseHash) => {
      await Person.update({ passphraseHash }, { where: { id }, transaction })
    },
    rehash: async (id, from, to) => {
      await Person.update({ passphraseHash: to }, { where: { id, passphraseHash: from }, transaction })
    },
    countByPepper: async () =>
      sequelize.query<{ readonly pepper: string; readonly people: number }>(
        `SELECT split_part(passphrase_hash, '$', 1) AS pepper, count(*)::int AS people FROM people
         WHERE passphrase_hash IS NOT NULL GROUP BY 1`,
        { type: QueryTypes.SELECT, transaction },
      ),
    remove: async id => {
      await Person.destroy({ where: { id }, transaction })
    },
    makeCodes: personId =>
      together(async inside => {
        const codes = Array.from({ length: recoveryCodeCount }, newCode)
        await RecoveryCode.destroy({ where: { personId }, transaction: inside.transaction })
        await RecoveryCode.bulkCreate(
          codes.map(code => ({ personId, codeHash: hashOf(code) })),
          { transaction: inside.transaction },
        )
        return codes
      }),
    useCode: async (personId, code) =>
      (await RecoveryCode.destroy({ where: { personId, codeHash: hashOf(code) }, transaction })) === 1,
    codesLeft: personId => RecoveryCode.count({ where: { personId }, transaction }),
    meetBrowser: async (personId, known) => {
      const token = known ?? createSecret()
      const seenAt = now()
      await KnownBrowser.bulkCreate([{ personId, tokenHash: hashOf(token), seenAt, toldAt: seenAt }], {
        updateOnDuplicate: ['seenAt'],
        transaction,
      })
      const rows = await KnownBrowser.findAll({
        where: { personId },
        order: [['seenAt', 'DESC']],
        offset: mostBrowsers,
        raw: true,
        transaction,
      })
      const hashes = (rows as unknown as KnownBrowserColumns[]).map(({ tokenHash }) => tokenHash)
      await KnownBrowser.destroy({ where: { personId, tokenHash: { [Op.in]: hashes } }, transaction })
      return token
    },
    knowsBrowser: async (personId, token) =>
      (await KnownBrowser.count({ where: { personId, tokenHash: hashOf(token) }, transaction })) > 0,
  }
}

function newCode(): string {
  return Array.from({ length: recoveryCodeLength }, () => codeLetters[randomInt(codeLetters.length)]).join('')
}
