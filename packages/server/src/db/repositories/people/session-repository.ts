import type { Membership, MemberRole, SignedIn } from '@snowdrift/core'
import { QueryTypes } from 'sequelize'
import type { Session } from '../../session.js'
import { createSecret, hashOf } from '../secret.js'
import type { RepositoryTools } from '../tools.js'
import { usualStays } from './stays.js'

/** Somebody who signed in, where they are, and what of it matters for what they may do. */
export interface SignedInPerson {
  readonly id: string
  readonly name: string
  readonly session: string
  readonly workshop: Membership | null
  /** When they last proved that it is they. */
  readonly confirmedAt: Date
  /** Whether they did by a passkey since they came in: by something that they have, and their finger, face or PIN. */
  readonly byPasskey: boolean
}

export type FoundSession =
  | {
      readonly kind: 'in'
      readonly person: SignedInPerson
      /** The token that the browser is to come with from now on; the one it came with holds until it does. */
      readonly turnTo?: string
    }
  | { readonly kind: 'out' }
  /** Somebody came with a token that was put away: it was copied, and nobody comes in by it any more. */
  | { readonly kind: 'replayed'; readonly person: string }

export interface BegunSession {
  readonly person: string
  readonly workshop: string | null
  readonly device: string
  readonly byPasskey: boolean
}

/** Where people are signed in. Of tokens only hashes are kept; a token holds for an hour, then another takes its place. */
export interface SessionRepository {
  /** Signs somebody in; gives the token. */
  readonly begin: (begun: BegunSession) => Promise<string>
  readonly find: (token: string) => Promise<FoundSession>
  /** Whether somebody is signed in still, and belongs to the workshop in which they are. */
  readonly isIn: (id: string, workshop: string) => Promise<boolean>
  /** Somebody proved once more that it is they. */
  readonly confirm: (id: string, byPasskey: boolean) => Promise<void>
  readonly enter: (id: string, workshop: string) => Promise<void>
  readonly list: (person: string, current: string) => Promise<readonly SignedIn[]>
  readonly end: (person: string, id: string) => Promise<boolean>
  /** All of somebody’s, but one where it is named; gives how many. */
  readonly endAll: (person: string, but?: string) => Promise<number>
  /** Forgets what nobody can come back to. */
  readonly forgetOld: () => Promise<void>
}

export const minuteMs = 60_000
const turnsAfterMs = 60 * minuteMs
/** So long both tokens are taken: requests that were on their way, and an answer that did not arrive. */
const overlapMs = minuteMs
const mostSessions = 20

interface Row {
  readonly id: string
  readonly person_id: string
  readonly name: string
  readonly workshop_id: string | null
  readonly workshop: string | null
  readonly role: MemberRole | null
  readonly token_hash: string
  readonly next_hash: string | null
  readonly next_at: Date | null
  readonly turned_at: Date
  readonly seen_at: Date
  readonly confirmed_at: Date
  readonly by_passkey: boolean
}

export function createSessionRepository(
  { sequelize, transaction }: Session,
  { now, newId, stays = usualStays }: RepositoryTools,
): SessionRepository {
  const { longestAwayMs, longestInMs } = stays
  const select = <Found extends object>(statement: string, bind: readonly unknown[]) =>
    sequelize.query<Found>(statement, { bind: [...bind], type: QueryTypes.SELECT, transaction })
  const since = (ms: number) => new Date(now().getTime() - ms)

  async function findRow(hash: string): Promise<Row | undefined> {
    const [row] = await select<Row>(
      `SELECT s.id, s.person_id, p.name, s.workshop_id, w.name AS workshop, m.role, s.token_hash, s.next_hash, s.next_at,
              s.turned_at, s.seen_at, s.confirmed_at, s.by_passkey
       FROM sessions s JOIN people p ON p.id = s.person_id
       LEFT JOIN memberships m ON m.person_id = s.person_id AND m.workshop_id = s.workshop_id
       LEFT JOIN workshops w ON w.id = m.workshop_id
       WHERE (s.token_hash = $1 OR s.next_hash = $1 OR s.last_hash = $1) AND s.seen_at > $2 AND s.created_at > $3`,
      [hash, since(longestAwayMs), since(longestInMs)],
    )
    return row
  }

  /** The browser has the next token: the one before it is put away. */
  async function turn({ id, token_hash: last, next_hash: next }: Row): Promise<void> {
    await select(
      `UPDATE sessions SET token_hash = next_hash, last_hash = $2, next_hash = NULL, next_at = NULL, turned_at = $3
       WHERE id = $1 AND next_hash = $4 RETURNING id`,
      [id, last, now(), next],
    )
  }

  /** A token to come with from now on. Of several requests at once one is given it. */
  async function offerNext({ id, token_hash: hash }: Row): Promise<string | undefined> {
    const token = createSecret()
    const offered = await select(
      `UPDATE sessions SET next_hash = $2, next_at = $3
       WHERE id = $1 AND token_hash = $4 AND (next_at IS NULL OR next_at < $5) RETURNING id`,
      [id, hashOf(token), now(), hash, since(overlapMs)],
    )
    return offered.length > 0 ? token : undefined
  }

  return {
    begin: async ({ person, workshop, device, byPasskey }) => {
      const token = createSecret()
      const at = now()
      await select(
        `INSERT INTO sessions
           (id, person_id, workshop_id, device, token_hash, turned_at, created_at, seen_at, confirmed_at, by_passkey)
         VALUES ($1, $2, $3, $4, $5, $6, $6, $6, $6, $7) RETURNING id`,
        [newId(), person, workshop, device, hashOf(token), at, byPasskey],
      )
      await select(
        `DELETE FROM sessions WHERE id IN
           (SELECT id FROM sessions WHERE person_id = $1 ORDER BY seen_at DESC OFFSET ${mostSessions}) RETURNING id`,
        [person],
      )
      return token
    },
    find: async token => {
      const hash = hashOf(token)
      const row = await findRow(hash)
      if (!row) return { kind: 'out' }
      const at = now().getTime()
      const isLast = hash !== row.token_hash && hash !== row.next_hash
      if (isLast && at - row.turned_at.getTime() > overlapMs) {
        await select('DELETE FROM sessions WHERE id = $1 RETURNING id', [row.id])
        return { kind: 'replayed', person: row.person_id }
      }
      if (hash === row.next_hash) await turn(row)
      if (at - row.seen_at.getTime() > minuteMs)
        await select('UPDATE sessions SET seen_at = $2 WHERE id = $1 RETURNING id', [row.id, now()])
      const isDue = hash === row.token_hash && at - row.turned_at.getTime() > turnsAfterMs
      const turnTo = isDue ? await offerNext(row) : undefined
      return { kind: 'in', person: personOf(row), ...(turnTo !== undefined && { turnTo }) }
    },
    isIn: async (id, workshop) =>
      (
        await select(
          `SELECT s.id FROM sessions s
           JOIN memberships m ON m.person_id = s.person_id AND m.workshop_id = s.workshop_id
           WHERE s.id = $1 AND s.workshop_id = $2`,
          [id, workshop],
        )
      ).length > 0,
    confirm: async (id, byPasskey) => {
      await select(
        'UPDATE sessions SET confirmed_at = $2, by_passkey = by_passkey OR $3 WHERE id = $1 RETURNING id',
        [id, now(), byPasskey],
      )
    },
    enter: async (id, workshop) => {
      await select('UPDATE sessions SET workshop_id = $2 WHERE id = $1 RETURNING id', [id, workshop])
    },
    list: async (person, current) => {
      const rows = await select<{ id: string; device: string; created_at: Date; seen_at: Date }>(
        `SELECT id, device, created_at, seen_at FROM sessions
         WHERE person_id = $1 AND seen_at > $2 AND created_at > $3 ORDER BY seen_at DESC`,
        [person, since(longestAwayMs), since(longestInMs)],
      )
      return rows.map(({ id, device, created_at: created, seen_at: seen }) => ({
        id,
        device,
        createdAt: created.toISOString(),
        seenAt: seen.toISOString(),
        isThis: id === current,
      }))
    },
    end: async (person, id) =>
      (await select('DELETE FROM sessions WHERE person_id = $1 AND id = $2 RETURNING id', [person, id]))
        .length > 0,
    endAll: async (person, but) =>
      (
        await select(
          'DELETE FROM sessions WHERE person_id = $1 AND id IS DISTINCT FROM $2::uuid RETURNING id',
          [person, but ?? null],
        )
      ).length,
    forgetOld: async () => {
      await select('DELETE FROM sessions WHERE seen_at <= $1 OR created_at <= $2 RETURNING id', [
        since(longestAwayMs),
        since(longestInMs),
      ])
    },
  }
}

function personOf(row: Row): SignedInPerson {
  const { person_id: id, name, workshop_id: workshopId, workshop, role } = row
  const isMember = workshopId !== null && workshop !== null && role !== null
  return {
    id,
    name,
    session: row.id,
    workshop: isMember ? { id: workshopId, name: workshop, role } : null,
    confirmedAt: row.confirmed_at,
    byPasskey: row.by_passkey,
  }
}
