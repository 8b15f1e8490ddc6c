import { isIP, type BlockList } from 'node:net'
import { getConnInfo } from '@hono/node-server/conninfo'
import type { Context } from 'hono'

/** Who calls, as far as the connection and proxies that are trusted tell. */
export interface Caller {
  /** The address that the call comes from; empty where there is no connection, as in a test. */
  readonly address: string
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
    host: context.req.header('Host') ?? '',
    scheme: isSealed ? 'https' : 'http',
  }
  if (!isListed(proxies, peer)) return direct
  return {
    address: lastStranger(context.req.header('X-Forwarded-For'), proxies) ?? peer,
    host: lastOf(context.req.header('X-Forwarded-Host')) ?? direct.host,
    scheme: lastOf(context.req.header('X-Forwarded-Proto')) === 'https' ? 'https' : direct.scheme,
  }
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
