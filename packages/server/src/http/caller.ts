import { isIP, type BlockList } from 'node:net'
import { getConnInfo } from '@hono/node-server/conninfo'
import type { Context } from 'hono'

/** Who calls, as far as the connection and proxies that are trusted tell. */
export interface Caller {
  /** The address that the call comes from; empty where there is no connection, as in a test. */
  readonly address: string
  /** What of it one household has: of IPv6 half of the address, the rest of which anybody there takes at will. */
  readonly network: string
  /** The host that was asked for, with its port where it is not the usual one. */
  readonly host: string
  readonly scheme: 'http' | 'https'
}

export interface CallerOptions {
  /** Whether connections are sealed by this server itself. */
  readonly isSealed: boolean
  /** Proxies whose word is taken for who calls them. */
  readonly proxies: BlockList
}

/** Reads off who calls. What a proxy says of it is heard only where the proxy is one of those that are trusted. */
export function callerOf(context: Context, { isSealed, proxies }: CallerOptions): Caller {
  const peer = peerOf(context)
  const direct: Caller = {
    address: peer,
    network: networkOf(peer),
    host: context.req.header('Host') ?? '',
    scheme: isSealed ? 'https' : 'http',
  }
  if (!isListed(proxies, peer)) return direct
  const address = lastStranger(context.req.header('X-Forwarded-For'), proxies) ?? peer
  return {
    address,
    network: networkOf(address),
    host: lastOf(context.req.header('X-Forwarded-Host')) ?? direct.host,
    scheme: lastOf(context.req.header('X-Forwarded-Proto')) === 'https' ? 'https' : direct.scheme,
  }
}

/** The first half of an IPv6 address; of another all of it. */
export function networkOf(address: string): string {
  if (isIP(address) !== 6) return address
  const [head = '', tail] = address.split('%')[0]?.split('::') ?? []
  const first = head.split(':').filter(Boolean)
  const last = (tail ?? '').split(':').filter(Boolean)
  const zeros = tail === undefined ? 0 : Math.max(0, 8 - first.length - last.length)
  const groups = [...first, ...Array<string>(zeros).fill('0'), ...last].slice(0, 4)
  return `${groups.map(group => parseInt(group, 16).toString(16)).join(':')}::/64`
}

/** Whether a proxy stands between, whoever it is. */
export function isForwarded(context: Context): boolean {
  const { req } = context
  return ['Forwarded', 'X-Forwarded-For', 'X-Forwarded-Host'].some(name => req.header(name) !== undefined)
}

/** The last that no trusted proxy added: everything before it could be made up. */
function lastStranger(header: string | undefined, proxies: BlockList): string | undefined {
  const path = (header ?? '').split(',').map(part => part.trim())
  return path.findLast(address => isIP(address) !== 0 && !isListed(proxies, address))
}

function lastOf(header: string | undefined): string | undefined {
  return header?.split(',').at(-1)?.trim()
}

function peerOf(context: Context): string {
  if (!(context.env as object | undefined)) return ''
  const { address = '' } = getConnInfo(context).remote
  // an IPv4 caller on a socket of both kinds
  return address.replace(/^::ffff:/, '')
}

function isListed(list: BlockList, address: string): boolean {
  const family = isIP(address)
  return family !== 0 && list.check(address, family === 6 ? 'ipv6' : 'ipv4')
}
