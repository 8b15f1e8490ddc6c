import {
  invitationDays,
  type Invitation,
  type Member,
  type MemberRole,
  type Membership,
} from '@snowdrift/core'
import { Op, QueryTypes } from 'sequelize'
import type { InvitationColumns } from '../../models/people-models.js'
import type { Session } from '../../session.js'
import { createSecret, hashOf } from '../secret.js'
import type { RepositoryTools } from '../tools.js'
import { holdWorkshop } from '../workshops.js'

/** What comes of a change to who belongs to a workshop: one always needs an owner. */
export type Changed = 'done' | 'missing' | 'last-owner'

export interface OpenInvitation {
  readonly id: string
  readonly role: MemberRole
  readonly workshop: { readonly id: string; readonly name: string }
}

/** Who belongs to a workshop, and who is asked to. */
export interface MemberRepository {
  readonly list: (workshop: string) => Promise<readonly Member[]>
  /** The workshops of somebody, the first that they came to first. */
  readonly workshopsOf: (person: string) => Promise<readonly Membership[]>
  /** False where they belong to it already. */
  readonly add: (workshop: string, person: string, role: MemberRole) => Promise<boolean>
  readonly setRole: (workshop: string, person: string, role: MemberRole) => Promise<Changed>
  /** Takes somebody out; where they are in it with a device, they are in another of theirs, or in none. */
  readonly remove: (workshop: string, person: string) => Promise<Changed>
  readonly hasOwner: (workshop: string) => Promise<boolean>
  /** Deletes the workshops that somebody owns alone, with everything in them. */
  readonly removeOwnedAlone: (person: string) => Promise<void>
  readonly rename: (workshop: string, name: string) => Promise<void>
  readonly invitations: (workshop: string) => Promise<readonly Invitation[]>
  /** A link that lets one person in, once. Undefined where as many as can be are open already. */
  readonly invite: (
    workshop: string,
    role: MemberRole,
  ) => Promise<{ readonly invitation: Invitation; readonly token: string } | undefined>
  readonly withdraw: (workshop: string, id: string) => Promise<boolean>
  /** Undefined where it is unknown, used, withdrawn or too old, which looks all the same. */
  readonly findInvitation: (token: string) => Promise<OpenInvitation | undefined>
  /** The same, and uses it up: of two that come at once, one has it. */
  readonly takeInvitation: (token: string) => Promise<OpenInvitation | undefined>
}

const dayMs = 86_400_000
const mostInvitations = 50
const mostMembers = 200

export function createMemberRepository(session: Session, { now, newId }: RepositoryTools): MemberRepository {
  const { models, sequelize, transaction, together } = session
  const { Membership, Invitation } = models
  const owners = (inside: Session, workshopId: string) =>
    Membership.count({ where: { workshopId, role: 'owner' }, transaction: inside.transaction })
  /** Whoever changes who owns a workshop waits for whoever else does. */
  const changing = (workshop: string, work: (inside: Session) => Promise<Changed>) =>
    together(async inside => {
      await holdWorkshop(inside, workshop)
      return work(inside)
    })
  const roleOf = async (inside: Session, workshopId: string, personId: string) => {
    const where = { workshopId, personId }
    return (await Membership.findOne({ where, transaction: inside.transaction }))?.get().role
  }
  const open = () => ({ expiresAt: { [Op.gt]: now() } })
  const read = async (row: InvitationColumns): Promise<OpenInvitation> => {
    const workshop = await models.Workshop.findByPk(row.workshopId, { rejectOnEmpty: true, transaction })
    return { id: row.id, role: row.role, workshop: { id: row.workshopId, name: workshop.get().name } }
  }
  return {
    list: async workshop => {
      const rows = await sequelize.query<Omit<Member, 'since'> & { readonly since: Date }>(
        `SELECT p.id, p.name, m.role, m.since FROM memberships m JOIN people p ON p.id = m.person_id
         WHERE m.workshop_id = $1 ORDER BY m.since, p.id LIMIT ${mostMembers}`,
        { bind: [workshop], type: QueryTypes.SELECT, transaction },
      )
      return rows.map(row => ({ ...row, since: row.since.toISOString() }))
    },
    workshopsOf: person =>
      sequelize.query<Membership>(
        `SELECT w.id, w.name, m.role FROM memberships m JOIN workshops w ON w.id = m.workshop_id
         WHERE m.person_id = $1 ORDER BY m.since, w.id`,
        { bind: [person], type: QueryTypes.SELECT, transaction },
      ),
    add: async (workshopId, personId, role) => {
      if ((await roleOf(session, workshopId, personId)) !== undefined) return false
      await Membership.create({ workshopId, personId, role, since: now() }, { transaction })
      return true
    },
    setRole: (workshopId, personId, role) =>
      changing(workshopId, async inside => {
        const before = await roleOf(inside, workshopId, personId)
        if (before === undefined) return 'missing'
        if (before === 'owner' && role !== 'owner' && (await owners(inside, workshopId)) === 1)
          return 'last-owner'
        const where = { workshopId, personId }
        await Membership.update({ role }, { where, transaction: inside.transaction })
        return 'done'
      }),
    remove: (workshopId, personId) =>
      changing(workshopId, async inside => {
        const before = await roleOf(inside, workshopId, personId)
        if (before === undefined) return 'missing'
        if (before === 'owner' && (await owners(inside, workshopId)) === 1) return 'last-owner'
        await Membership.destroy({ where: { workshopId, personId }, transaction: inside.transaction })
        await sequelize.query(
          `UPDATE sessions SET workshop_id =
             (SELECT workshop_id FROM memberships WHERE person_id = $1 ORDER BY since LIMIT 1)
           WHERE person_id = $1 AND workshop_id = $2`,
          { bind: [personId, workshopId], transaction: inside.transaction },
        )
        return 'done'
      }),
    hasOwner: async workshop => (await owners(session, workshop)) > 0,
    removeOwnedAlone: async person => {
      await sequelize.query(
        `DELETE FROM workshops WHERE id IN (
           SELECT workshop_id FROM memberships m WHERE person_id = $1 AND role = 'owner' AND NOT EXISTS (
             SELECT 1 FROM memberships o
             WHERE o.workshop_id = m.workshop_id AND o.role = 'owner' AND o.person_id <> $1))`,
        { bind: [person], transaction },
      )
    },
    rename: async (id, name) => {
      await models.Workshop.update({ name }, { where: { id }, transaction })
    },
    invitations: async workshopId => {
      const rows = await Invitation.findAll({
        where: { workshopId, ...open() },
        order: [['createdAt', 'DESC']],
        limit: mostInvitations,
        raw: true,
        transaction,
      })
      return (rows as unknown as InvitationColumns[]).map(readInvitation)
    },
    invite: async (workshopId, role) => {
      if ((await Invitation.count({ where: { workshopId, ...open() }, transaction })) >= mostInvitations)
        return undefined
      const token = createSecret()
      const createdAt = now()
      const expiresAt = new Date(createdAt.getTime() + invitationDays * dayMs)
      const row = { id: newId(), workshopId, role, tokenHash: hashOf(token), createdAt, expiresAt }
      await Invitation.create(row, { transaction })
      return { invitation: readInvitation(row), token }
    },
    withdraw: async (workshopId, id) =>
      (await Invitation.destroy({ where: { workshopId, id }, transaction })) > 0,
    findInvitation: async token => {
      const where = { tokenHash: hashOf(token), ...open() }
      const found = await Invitation.findOne({ where, raw: true, transaction })
      return found ? read(found as unknown as InvitationColumns) : undefined
    },
    takeInvitation: async token => {
      const where = { tokenHash: hashOf(token), ...open() }
      const found = await Invitation.findOne({ where, raw: true, transaction })
      const taken = found && (await Invitation.destroy({ where, transaction }))
      return taken === 1 ? read(found as unknown as InvitationColumns) : undefined
    },
  }
}

function readInvitation({ id, role, createdAt, expiresAt }: InvitationColumns): Invitation {
  return { id, role, createdAt: createdAt.toISOString(), expiresAt: expiresAt.toISOString() }
}
