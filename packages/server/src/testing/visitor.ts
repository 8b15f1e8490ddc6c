import type { Account, Invitation, MemberRole } from '@snowdrift/core'
import {
  useTestApp,
  type Answer,
  type RequestOptions,
  type TestApp,
  type TestAppOptions,
} from './test-database.js'

export const origin = 'https://covers.example'
export const passphrase = 'marmot bracket yonder pewter'

/** A browser of somebody: it keeps the cookies that it is given, and comes from an address of its own. */
export interface Visitor {
  readonly ask: (method: string, path: string, body?: unknown, options?: RequestOptions) => Promise<Answer>
  /** What it holds under a name; undefined where there is none. */
  readonly cookie: (name: string) => string | undefined
  /** Puts a cookie in place of what it holds; none takes it away. */
  readonly hold: (name: string, secret: string | undefined) => void
  readonly account: () => Promise<Account>
}

export interface Hosted {
  readonly app: () => TestApp
  readonly visitor: (address?: string) => Visitor
  readonly invite: (role?: MemberRole, workshop?: string) => Promise<string>
  /** Somebody who joined by an invitation, in a browser of theirs. */
  readonly join: (signInName: string, role?: MemberRole, workshop?: string) => Promise<Visitor>
  readonly signIn: (signInName: string, address?: string) => Promise<Visitor>
  /** Lets time pass. */
  readonly pass: (ms: number) => void
}

/** An application where people sign in, behind a proxy that is trusted; its clock is the test’s. */
export function useHosted(how: Pick<TestAppOptions, 'peppers' | 'passphrases' | 'isStrict'> = {}): Hosted {
  let ahead = 0
  let visitors = 0
  const app = useTestApp({
    door: { lets: 'people', origin, isOwnName: () => true, isSealed: true },
    now: () => new Date(Date.now() + ahead),
    ...how,
  })
  const visitor = (address = `10.0.0.${++visitors}`): Visitor => {
    const jar = new Map<string, string>()
    const ask: Visitor['ask'] = async (method, path, body, { headers, ...options } = {}) => {
      const answer = await app().request(method, path, {
        ...(body !== undefined && { body }),
        ...options,
        address,
        headers: {
          Host: 'covers.example',
          Cookie: [...jar].map(([name, secret]) => `${name}=${secret}`).join('; '),
          ...headers,
        },
      })
      for (const set of answer.headers.getSetCookie()) {
        const [, name = '', secret = ''] = /^([^=]+)=([^;]*)/.exec(set) ?? []
        if (/Max-Age=0/.test(set)) jar.delete(name)
        else jar.set(name, secret)
      }
      return answer
    }
    return {
      ask,
      cookie: name => jar.get(`__Host-${name}`),
      hold: (name, secret) => {
        if (secret === undefined) jar.delete(`__Host-${name}`)
        else jar.set(`__Host-${name}`, secret)
      },
      account: async () => (await ask('GET', '/api/account')).body as unknown as Account,
    }
  }
  const invite = async (role: MemberRole = 'maker', workshop = app().ours) => {
    const invited = await app().repositories.people.members.invite(workshop, role)
    return invited?.token ?? ''
  }
  return {
    app,
    visitor,
    invite,
    join: async (signInName, role, workshop) => {
      const joining = visitor()
      const token = await invite(role, workshop)
      const body = { token, signInName, name: nameOf(signInName), device: 'Computer', passphrase }
      await expectStatus(joining.ask('POST', '/api/enter/join', body), 201)
      return joining
    },
    signIn: async (signInName, address) => {
      const comes = visitor(address)
      await expectStatus(comes.ask('POST', '/api/enter', { signInName, passphrase, device: 'Phone' }), 200)
      return comes
    },
    pass: ms => {
      ahead += ms
    },
  }
}

export interface InvitedBody {
  readonly invitation: Invitation
  readonly token: string
}

function nameOf(signInName: string): string {
  return signInName.charAt(0).toUpperCase() + signInName.slice(1)
}

async function expectStatus(answering: Promise<Answer>, status: number): Promise<void> {
  const answer = await answering
  if (answer.status !== status) throw new Error(`${answer.status}: ${JSON.stringify(answer.body)}`)
}
