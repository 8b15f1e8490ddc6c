import { BlockList, isIP } from 'node:net'
import { resolve } from 'node:path'
import type { Hosting } from './hosting.js'
import { StartFailure } from './start-failure.js'

export interface Environment {
  readonly port: number
  readonly dataFolder: string
  /** An existing server's address instead of our own cluster. */
  readonly databaseUrl?: string
  /** Whether a pool stands before it that hands out connections by transaction. */
  readonly isPooled: boolean
  /** Where PostgreSQL itself is heard, past such a pool. */
  readonly listenUrl?: string
  /** A replica of it. */
  readonly readUrl?: string
  /** Where metrics are read off; nowhere unless said. */
  readonly metricsPort?: number
  /** How many processes share the ports. */
  readonly workers: number
  readonly share: ShareEnvironment
  /** Where people sign in, by which address; at home there is none. */
  readonly hosted?: Hosting
}

/** How other devices come in, once they are let. */
export interface ShareEnvironment {
  readonly port: number
  /** Files in PEM with a certificate of one's own, and with its key. */
  readonly tls?: { readonly certFile: string; readonly keyFile: string }
  /** What is opened by others, where a proxy stands before the port: an origin, without a slash at its end. */
  readonly url?: string
  /** Proxies whose word is taken for who calls them. */
  readonly proxies: BlockList
  /** The same as they were listed. */
  readonly proxiesListed: string
}

/** More would only wait for one another’s connections to the database. */
const mostWorkers = 16

type Variables = Readonly<Record<string, string | undefined>>

/**
 * PORT (4180), SNOWDRIFT_DATA (.snowdrift), SNOWDRIFT_MODE (home), DATABASE_URL, DATABASE_POOLING (session),
 * DATABASE_LISTEN_URL, DATABASE_READ_URL, SNOWDRIFT_METRICS_PORT, SNOWDRIFT_WORKERS (1), and of other devices SNOWDRIFT_SHARE_PORT
 * (the next after PORT), SNOWDRIFT_TLS_CERT, SNOWDRIFT_TLS_KEY, SNOWDRIFT_URL, SNOWDRIFT_TRUST_PROXY, and of
 * people SNOWDRIFT_PEPPER_FILE, SNOWDRIFT_PEPPER_SOCKET, SNOWDRIFT_STRICT (0); an unusable one is a StartFailure.
 */
export function readEnvironment(variables: Variables): Environment {
  const { PORT = '4180', SNOWDRIFT_DATA = '.snowdrift', SNOWDRIFT_METRICS_PORT } = variables
  const port = readPort('PORT', PORT)
  const share = readShare(variables, port)
  const metricsPort =
    SNOWDRIFT_METRICS_PORT === undefined
      ? undefined
      : readPort('SNOWDRIFT_METRICS_PORT', SNOWDRIFT_METRICS_PORT)
  refuseTwice({ PORT: port, SNOWDRIFT_SHARE_PORT: share.port, SNOWDRIFT_METRICS_PORT: metricsPort })
  const databases = readDatabases(variables)
  const hosted = readHosting(variables, share)
  if (hosted?.isStrict) refuseUnsealed(databases)
  return {
    port,
    dataFolder: resolve(SNOWDRIFT_DATA),
    share,
    workers: readWorkers(variables['SNOWDRIFT_WORKERS'] ?? '1'),
    ...databases,
    ...(metricsPort !== undefined && { metricsPort }),
    ...(hosted && { hosted }),
  }
}

/** Names under which a browser trusts a plain address: for trying it out. */
const ownMachine = /^http:\/\/(localhost|127\.0\.0\.1)(:|$)/

function readHosting(
  variables: Variables,
  { url, tls, proxiesListed }: ShareEnvironment,
): Hosting | undefined {
  const { SNOWDRIFT_MODE: mode = 'home' } = variables
  const { SNOWDRIFT_PEPPER_FILE: pepperFile, SNOWDRIFT_PEPPER_SOCKET: pepperSocket } = variables
  const isStrict = readSwitch('SNOWDRIFT_STRICT', variables['SNOWDRIFT_STRICT'])
  if (mode !== 'home' && mode !== 'hosted')
    throw new StartFailure(`SNOWDRIFT_MODE must be home or hosted; it is “${mode}”.`)
  if (mode === 'home') {
    if (pepperFile !== undefined || pepperSocket !== undefined || isStrict)
      throw new StartFailure(
        'SNOWDRIFT_PEPPER_FILE, SNOWDRIFT_PEPPER_SOCKET and SNOWDRIFT_STRICT go with SNOWDRIFT_MODE=hosted: at home nobody signs in.',
      )
    return undefined
  }
  if (url === undefined || !(url.startsWith('https:') || ownMachine.test(url)))
    throw new StartFailure(
      'SNOWDRIFT_MODE=hosted needs SNOWDRIFT_URL: the sealed address that people open, such as https://covers.example.',
    )
  if (url.startsWith('https:') && tls === undefined && proxiesListed.trim() === '')
    throw new StartFailure(
      'Nothing seals SNOWDRIFT_URL: name a proxy that does in SNOWDRIFT_TRUST_PROXY, or a certificate in SNOWDRIFT_TLS_CERT and SNOWDRIFT_TLS_KEY.',
    )
  if (isStrict && pepperFile === undefined && pepperSocket === undefined)
    throw new StartFailure(
      'SNOWDRIFT_STRICT=1 needs SNOWDRIFT_PEPPER_FILE: a secret that goes into the hashes of passphrases. One is made by: openssl rand -base64 33',
    )
  if (pepperFile !== undefined && pepperSocket !== undefined)
    throw new StartFailure(
      'SNOWDRIFT_PEPPER_FILE is for the one that holds the secrets at SNOWDRIFT_PEPPER_SOCKET: take it away here.',
    )
  const isOnlyHere = proxiesListed.split(/[\s,]+/).every(proxy => /^(127\.|::1$|$)/.test(proxy))
  return {
    origin: url,
    isOpen: tls !== undefined || !isOnlyHere,
    ...(pepperFile !== undefined && { pepperFile: resolve(pepperFile) }),
    ...(pepperSocket !== undefined && { pepperSocket: resolve(pepperSocket) }),
    ...(isStrict && { isStrict }),
  }
}

/** Where the secrets of passphrases are, and at which socket they are held; both are needed, or it is a StartFailure. */
export function readKeeperEnvironment({
  SNOWDRIFT_PEPPER_FILE: pepperFile,
  SNOWDRIFT_PEPPER_SOCKET: pepperSocket,
}: Variables): Required<Pick<Hosting, 'pepperFile' | 'pepperSocket'>> {
  if (pepperFile === undefined || pepperSocket === undefined)
    throw new StartFailure(
      'SNOWDRIFT_PEPPER_FILE names the secrets, SNOWDRIFT_PEPPER_SOCKET where Snowdrift asks for them; one of them is missing.',
    )
  return { pepperFile: resolve(pepperFile), pepperSocket: resolve(pepperSocket) }
}

function readSwitch(name: string, text = '0'): boolean {
  if (text !== '0' && text !== '1') throw new StartFailure(`${name} must be 1 or 0; it is “${text}”.`)
  return text === '1'
}

/** Where it is strict, nothing of the database goes through a network unsealed, or to a server that did not prove who it is. */
function refuseUnsealed(urls: Pick<Environment, 'databaseUrl' | 'listenUrl' | 'readUrl'>): void {
  for (const [name, key] of Object.entries(databaseNames)) {
    const url = urls[key]
    if (url === undefined) continue
    const { hostname, searchParams } = new URL(url)
    const isHere = /^(localhost|127\..*|\[::1\]|)$/.test(hostname)
    if (!isHere && searchParams.get('sslmode') !== 'verify-full')
      throw new StartFailure(
        `SNOWDRIFT_STRICT=1 needs ${name} to end in sslmode=verify-full: it goes to ${hostname}.`,
      )
  }
}

const databaseNames = {
  DATABASE_URL: 'databaseUrl',
  DATABASE_LISTEN_URL: 'listenUrl',
  DATABASE_READ_URL: 'readUrl',
} as const

function readDatabases(
  variables: Variables,
): Pick<Environment, 'databaseUrl' | 'isPooled' | 'listenUrl' | 'readUrl'> {
  const { DATABASE_URL, DATABASE_POOLING = 'session' } = variables
  const urls = Object.entries(databaseNames).flatMap(([name, key]) => {
    const url = variables[name]
    if (url === undefined) return []
    if (!/^postgres(ql)?:\/\//.test(url))
      throw new StartFailure(`${name} must begin with postgres:// and name a server.`)
    if (DATABASE_URL === undefined)
      throw new StartFailure(`${name} goes with DATABASE_URL, which is missing: the own cluster has neither.`)
    return [[key, url] as const]
  })
  if (DATABASE_POOLING !== 'session' && DATABASE_POOLING !== 'transaction')
    throw new StartFailure(`DATABASE_POOLING must be session or transaction; it is “${DATABASE_POOLING}”.`)
  return { ...Object.fromEntries(urls), isPooled: DATABASE_POOLING === 'transaction' }
}

function readShare(variables: Variables, port: number): ShareEnvironment {
  const {
    SNOWDRIFT_SHARE_PORT,
    SNOWDRIFT_TLS_CERT,
    SNOWDRIFT_TLS_KEY,
    SNOWDRIFT_URL,
    SNOWDRIFT_TRUST_PROXY,
  } = variables
  if ((SNOWDRIFT_TLS_CERT === undefined) !== (SNOWDRIFT_TLS_KEY === undefined))
    throw new StartFailure(
      'SNOWDRIFT_TLS_CERT and SNOWDRIFT_TLS_KEY belong together; one of them is missing.',
    )
  return {
    port:
      SNOWDRIFT_SHARE_PORT === undefined
        ? port + (port < 65_535 ? 1 : -1)
        : readPort('SNOWDRIFT_SHARE_PORT', SNOWDRIFT_SHARE_PORT),
    proxies: readProxies(SNOWDRIFT_TRUST_PROXY ?? ''),
    proxiesListed: SNOWDRIFT_TRUST_PROXY ?? '',
    ...(SNOWDRIFT_TLS_CERT !== undefined &&
      SNOWDRIFT_TLS_KEY !== undefined && {
        tls: { certFile: resolve(SNOWDRIFT_TLS_CERT), keyFile: resolve(SNOWDRIFT_TLS_KEY) },
      }),
    ...(SNOWDRIFT_URL !== undefined && { url: readUrl(SNOWDRIFT_URL) }),
  }
}

function readUrl(text: string): string {
  const url = URL.canParse(text) ? new URL(text) : undefined
  if (
    !url ||
    !/^https?:$/.test(url.protocol) ||
    url.pathname !== '/' ||
    url.search ||
    url.hash ||
    url.username
  )
    throw new StartFailure(
      `SNOWDRIFT_URL must be an address such as https://covers.example, with nothing behind it; it is “${text}”.`,
    )
  return url.origin
}

/** Addresses and networks, parted by commas or blanks; what is none of them is a StartFailure. */
export function readProxies(text: string): BlockList {
  const proxies = new BlockList()
  for (const part of text.split(/[\s,]+/).filter(Boolean)) {
    const [address = '', bits] = part.split('/')
    const family = isIP(address)
    const most = family === 6 ? 128 : 32
    if (family === 0 || (bits !== undefined && !(/^\d{1,3}$/.test(bits) && Number(bits) <= most)))
      throw new StartFailure(
        `SNOWDRIFT_TRUST_PROXY must list addresses or networks such as 127.0.0.1 or 10.0.0.0/8; “${part}” is none.`,
      )
    proxies.addSubnet(address, Number(bits ?? most), family === 6 ? 'ipv6' : 'ipv4')
  }
  return proxies
}

function readWorkers(text: string): number {
  const workers = Number(text)
  if (!/^\d+$/.test(text) || workers < 1 || workers > mostWorkers)
    throw new StartFailure(`SNOWDRIFT_WORKERS must be a number from 1 to ${mostWorkers}; it is “${text}”.`)
  return workers
}

function refuseTwice(ports: Readonly<Record<string, number | undefined>>): void {
  const taken = new Map<number, string>()
  for (const [name, port] of Object.entries(ports)) {
    const other = port === undefined ? undefined : taken.get(port)
    if (other !== undefined)
      throw new StartFailure(`${name} must be another than ${other}; both are ${port}.`)
    if (port !== undefined) taken.set(port, name)
  }
}

function readPort(name: string, text: string): number {
  const port = Number(text)
  if (!/^\d+$/.test(text) || port < 1 || port > 65_535)
    throw new StartFailure(`${name} must be a number from 1 to 65535; it is “${text}”.`)
  return port
}
