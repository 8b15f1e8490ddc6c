import { expect } from 'chai'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { readEnvironment, readKeeperEnvironment } from './environment.js'
import { readCertificate } from './reach/certificate.js'
import { StartFailure } from './start-failure.js'
import { createCertificate } from './testing/certificate.js'

describe('what the environment says', () => {
  const complaint = (variables: Record<string, string>) => {
    try {
      readEnvironment(variables)
      return 'none'
    } catch (error) {
      return (error as Error).message
    }
  }

  it('is enough where it says nothing', () => {
    const { port, share, ...rest } = readEnvironment({})
    expect([port, share.port, share.url, share.tls]).to.deep.equal([4180, 4181, undefined, undefined])
    expect(rest.databaseUrl).to.equal(undefined)
  })

  it('puts the way in for others next to the own port, or where it is told', () => {
    expect(readEnvironment({ PORT: '5000' }).share.port).to.equal(5001)
    expect(readEnvironment({ PORT: '65535' }).share.port).to.equal(65_534)
    expect(readEnvironment({ SNOWDRIFT_SHARE_PORT: '8443' }).share.port).to.equal(8443)
  })

  it('gives no port twice', () => {
    expect(complaint({ PORT: '5000', SNOWDRIFT_SHARE_PORT: '5000' })).to.equal(
      'SNOWDRIFT_SHARE_PORT must be another than PORT; both are 5000.',
    )
    expect(complaint({ SNOWDRIFT_METRICS_PORT: '4181' })).to.equal(
      'SNOWDRIFT_METRICS_PORT must be another than SNOWDRIFT_SHARE_PORT; both are 4181.',
    )
    expect(complaint({ SNOWDRIFT_METRICS_PORT: '4182' })).to.equal('none')
  })

  it('names the address that others open, and nothing behind it', () => {
    expect(readEnvironment({ SNOWDRIFT_URL: 'https://covers.example/' }).share.url).to.equal(
      'https://covers.example',
    )
    for (const wrong of [
      'covers.example',
      'ftp://covers.example',
      'https://covers.example/sub',
      'https://a:b@c.example',
    ])
      expect(complaint({ SNOWDRIFT_URL: wrong }), wrong).to.match(/^SNOWDRIFT_URL must be an address such as/)
  })

  it('names other databases beside its own, where there is one', () => {
    const own = { DATABASE_URL: 'postgres://u:p@db.example/s' }
    const { isPooled, listenUrl, readUrl } = readEnvironment(own)
    expect([isPooled, listenUrl, readUrl]).to.deep.equal([false, undefined, undefined])
    const all = readEnvironment({
      ...own,
      DATABASE_POOLING: 'transaction',
      DATABASE_LISTEN_URL: 'postgresql://u:p@first.example/s',
      DATABASE_READ_URL: 'postgres://u:p@second.example/s',
    })
    expect([all.isPooled, all.listenUrl, all.readUrl]).to.deep.equal([
      true,
      'postgresql://u:p@first.example/s',
      'postgres://u:p@second.example/s',
    ])
    expect(complaint({ DATABASE_READ_URL: 'postgres://x' })).to.equal(
      'DATABASE_READ_URL goes with DATABASE_URL, which is missing: the own cluster has neither.',
    )
    expect(complaint({ ...own, DATABASE_LISTEN_URL: 'x' })).to.equal(
      'DATABASE_LISTEN_URL must begin with postgres:// and name a server.',
    )
    expect(complaint({ ...own, DATABASE_POOLING: 'statement' })).to.equal(
      'DATABASE_POOLING must be session or transaction; it is “statement”.',
    )
  })

  it('is at home unless it is hosted, which needs an address that is sealed', () => {
    expect(readEnvironment({}).hosted).to.equal(undefined)
    expect(readEnvironment({ SNOWDRIFT_MODE: 'home' }).hosted).to.equal(undefined)
    expect(complaint({ SNOWDRIFT_MODE: 'public' })).to.equal(
      'SNOWDRIFT_MODE must be home or hosted; it is “public”.',
    )
    const hosted = { SNOWDRIFT_MODE: 'hosted' }
    for (const url of [
      {},
      { SNOWDRIFT_URL: 'http://covers.example' },
      { SNOWDRIFT_URL: 'http://localhost.example' },
    ])
      expect(complaint({ ...hosted, ...url })).to.match(/^SNOWDRIFT_MODE=hosted needs SNOWDRIFT_URL/)
    const sealed = { ...hosted, SNOWDRIFT_URL: 'https://covers.example' }
    expect(complaint(sealed)).to.match(/^Nothing seals SNOWDRIFT_URL/)
    const origin = 'https://covers.example'
    const by = (variables: Record<string, string>) => readEnvironment({ ...sealed, ...variables }).hosted
    expect(by({ SNOWDRIFT_TRUST_PROXY: '127.0.0.1' })).to.deep.equal({ origin, isOpen: false })
    expect(by({ SNOWDRIFT_TRUST_PROXY: '::1, 127.0.0.1' })).to.deep.equal({ origin, isOpen: false })
    expect(by({ SNOWDRIFT_TRUST_PROXY: '127.0.0.1 10.0.0.7' })).to.deep.equal({ origin, isOpen: true })
    const files = { SNOWDRIFT_TLS_CERT: 'c.pem', SNOWDRIFT_TLS_KEY: 'k.pem' }
    expect(by(files)).to.deep.equal({ origin, isOpen: true })
    expect(readEnvironment({ ...hosted, SNOWDRIFT_URL: 'http://localhost:4180' }).hosted).to.deep.equal({
      origin: 'http://localhost:4180',
      isOpen: false,
    })
  })

  it('takes secrets for passphrases, and is strict, only where it is hosted', () => {
    const hosted = {
      SNOWDRIFT_MODE: 'hosted',
      SNOWDRIFT_URL: 'https://covers.example',
      SNOWDRIFT_TRUST_PROXY: '127.0.0.1',
    }
    const peppered = { ...hosted, SNOWDRIFT_PEPPER_FILE: '/etc/snowdrift/peppers' }
    const pepperFile = '/etc/snowdrift/peppers'
    expect(readEnvironment(peppered).hosted).to.include({ pepperFile }).and.to.not.have.property('isStrict')
    const strict = { ...peppered, SNOWDRIFT_STRICT: '1' }
    expect(readEnvironment(strict).hosted).to.include({ pepperFile, isStrict: true })
    expect(readEnvironment({ ...peppered, SNOWDRIFT_STRICT: '0' }).hosted).to.not.have.property('isStrict')
    expect(complaint({ ...peppered, SNOWDRIFT_STRICT: 'yes' })).to.equal(
      'SNOWDRIFT_STRICT must be 1 or 0; it is “yes”.',
    )
    expect(complaint({ ...hosted, SNOWDRIFT_STRICT: '1' })).to.match(
      /^SNOWDRIFT_STRICT=1 needs SNOWDRIFT_PEPPER_FILE/,
    )
    for (const home of [
      { SNOWDRIFT_STRICT: '1' },
      { SNOWDRIFT_PEPPER_FILE: 'peppers' },
      { SNOWDRIFT_PEPPER_SOCKET: 'socket' },
    ])
      expect(complaint(home)).to.include('go with SNOWDRIFT_MODE=hosted')
  })

  it('takes a process that holds the secrets instead of the secrets, not both', () => {
    const apart = {
      ...{ SNOWDRIFT_MODE: 'hosted', SNOWDRIFT_URL: 'https://covers.example' },
      ...{ SNOWDRIFT_TRUST_PROXY: '127.0.0.1', SNOWDRIFT_PEPPER_SOCKET: '/run/keys/socket' },
    }
    const pepperSocket = '/run/keys/socket'
    expect(readEnvironment(apart).hosted).to.include({ pepperSocket }).and.to.not.have.property('pepperFile')
    expect(readEnvironment({ ...apart, SNOWDRIFT_STRICT: '1' }).hosted).to.include({ pepperSocket })
    expect(complaint({ ...apart, SNOWDRIFT_PEPPER_FILE: 'peppers' })).to.match(/take it away here\.$/)
    // whoever holds them needs both
    const both = { SNOWDRIFT_PEPPER_FILE: '/etc/peppers', SNOWDRIFT_PEPPER_SOCKET: pepperSocket }
    expect(readKeeperEnvironment(both)).to.deep.equal({ pepperFile: '/etc/peppers', pepperSocket })
    for (const name of ['SNOWDRIFT_PEPPER_FILE', 'SNOWDRIFT_PEPPER_SOCKET'])
      expect(() => readKeeperEnvironment({ ...both, [name]: undefined })).to.throw(
        StartFailure,
        /one of them is missing/,
      )
  })

  it('lets nothing of the database through a network unsealed where it is strict', () => {
    const strict = {
      ...{ SNOWDRIFT_MODE: 'hosted', SNOWDRIFT_URL: 'https://covers.example', SNOWDRIFT_STRICT: '1' },
      ...{ SNOWDRIFT_TRUST_PROXY: '127.0.0.1', SNOWDRIFT_PEPPER_FILE: 'peppers' },
    }
    const here = 'postgres://snowdrift@127.0.0.1:5432/snowdrift'
    const away = 'postgres://snowdrift@db.example/snowdrift'
    for (const url of [here, 'postgres://localhost/x', 'postgres://[::1]/x', `${away}?sslmode=verify-full`])
      expect(readEnvironment({ ...strict, DATABASE_URL: url }).databaseUrl).to.equal(url)
    for (const url of [away, `${away}?sslmode=require`, 'postgres://localhost.example/x'])
      expect(complaint({ ...strict, DATABASE_URL: url })).to.match(
        /^SNOWDRIFT_STRICT=1 needs DATABASE_URL to end in/,
      )
    expect(complaint({ ...strict, DATABASE_URL: here, DATABASE_READ_URL: away })).to.include(
      'DATABASE_READ_URL',
    )
    // who is not strict knows the network
    expect(readEnvironment({ DATABASE_URL: away }).databaseUrl).to.equal(away)
  })

  it('lists the proxies whose word is taken', () => {
    const { proxies } = readEnvironment({ SNOWDRIFT_TRUST_PROXY: '127.0.0.1, 10.0.0.0/8 fd00::/8' }).share
    const isTrusted = (address: string, family: 'ipv4' | 'ipv6' = 'ipv4') => proxies.check(address, family)
    expect([isTrusted('127.0.0.1'), isTrusted('10.20.30.40'), isTrusted('fd12::1', 'ipv6')]).to.deep.equal([
      true,
      true,
      true,
    ])
    expect([isTrusted('127.0.0.2'), isTrusted('11.0.0.1')]).to.deep.equal([false, false])
    for (const wrong of ['1', 'proxy.local', '10.0.0.0/33', '10.0.0.0/x'])
      expect(complaint({ SNOWDRIFT_TRUST_PROXY: wrong }), wrong).to.match(/“.+” is none\.$/)
  })

  it('wants a certificate and its key together', () => {
    for (const name of ['SNOWDRIFT_TLS_CERT', 'SNOWDRIFT_TLS_KEY'])
      expect(complaint({ [name]: 'own.pem' })).to.equal(
        'SNOWDRIFT_TLS_CERT and SNOWDRIFT_TLS_KEY belong together; one of them is missing.',
      )
  })
})

describe('a certificate of one’s own', () => {
  let folder = ''
  let own = { cert: '', key: '' }
  before(async () => {
    own = await createCertificate()
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-certificate-'))
    await writeFile(join(folder, 'cert.pem'), own.cert)
    await writeFile(join(folder, 'key.pem'), own.key)
    await writeFile(join(folder, 'other.pem'), (await createCertificate()).key)
    await writeFile(join(folder, 'letter.pem'), 'Dear hut')
  })
  after(() => rm(folder, { recursive: true }))

  const read = (cert: string, key: string) =>
    readCertificate({ certFile: join(folder, cert), keyFile: join(folder, key) }).then(
      ({ cert: text }) => text,
      (error: unknown) => (error as Error).message,
    )

  it('is read with its key', async () => {
    expect(await read('cert.pem', 'key.pem')).to.equal(own.cert)
  })

  it('is refused in words where it is none, cannot be read, or goes with another key', async () => {
    expect(await read('none.pem', 'key.pem')).to.match(/^SNOWDRIFT_TLS_CERT cannot be read: ENOENT/)
    expect(await read('letter.pem', 'key.pem')).to.equal('SNOWDRIFT_TLS_CERT is not a certificate in PEM.')
    expect(await read('cert.pem', 'letter.pem')).to.equal(
      'SNOWDRIFT_TLS_KEY is not a key in PEM, without a passphrase.',
    )
    expect(await read('cert.pem', 'other.pem')).to.equal(
      'SNOWDRIFT_TLS_KEY is not the key of the certificate in SNOWDRIFT_TLS_CERT.',
    )
  })
})
