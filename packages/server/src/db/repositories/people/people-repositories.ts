import type { Session } from '../../session.js'
import type { RepositoryTools } from '../tools.js'
import { createAccountNewsRepository, type AccountNewsRepository } from './account-news-repository.js'
import { createAuditRepository, type AuditRepository } from './audit-repository.js'
import { createMemberRepository, type MemberRepository } from './member-repository.js'
import { createPasskeyRepository, type PasskeyRepository } from './passkey-repository.js'
import { createPersonRepository, type PersonRepository } from './person-repository.js'
import { createSessionRepository, type SessionRepository } from './session-repository.js'

/** Everything of people, where Snowdrift is hosted. */
export interface PeopleRepositories {
  readonly persons: PersonRepository
  readonly members: MemberRepository
  readonly sessions: SessionRepository
  readonly passkeys: PasskeyRepository
  readonly audit: AuditRepository
  readonly news: AccountNewsRepository
}

export function createPeopleRepositories(session: Session, tools: RepositoryTools): PeopleRepositories {
  return {
    persons: createPersonRepository(session, tools),
    members: createMemberRepository(session, tools),
    sessions: createSessionRepository(session, tools),
    passkeys: createPasskeyRepository(session, tools),
    audit: createAuditRepository(session, tools),
    news: createAccountNewsRepository(session, tools),
  }
}
