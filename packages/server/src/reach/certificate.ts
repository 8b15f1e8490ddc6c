import { createPrivateKey, X509Certificate } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import type { Certificate } from '../http/listen.js'
import { StartFailure } from '../start-failure.js'

/** Reads a certificate and its key, both in PEM; what cannot be used is a StartFailure that says why. */
export async function readCertificate(files: {
  readonly certFile: string
  readonly keyFile: string
}): Promise<Certificate> {
  const cert = await readPem('SNOWDRIFT_TLS_CERT', files.certFile)
  const key = await readPem('SNOWDRIFT_TLS_KEY', files.keyFile)
  const read = attempt('SNOWDRIFT_TLS_CERT', 'a certificate in PEM', () => new X509Certificate(cert))
  const own = attempt('SNOWDRIFT_TLS_KEY', 'a key in PEM, without a passphrase', () => createPrivateKey(key))
  if (!read.checkPrivateKey(own))
    throw new StartFailure('SNOWDRIFT_TLS_KEY is not the key of the certificate in SNOWDRIFT_TLS_CERT.')
  if (new Date(read.validTo).getTime() < Date.now())
    throw new StartFailure(`The certificate in SNOWDRIFT_TLS_CERT ran out on ${read.validTo}. Renew it.`)
  return { cert, key }
}

async function readPem(name: string, file: string): Promise<string> {
  return readFile(file, 'utf8').catch((error: unknown) => {
    throw new StartFailure(`${name} cannot be read: ${(error as Error).message}`)
  })
}

function attempt<Value>(name: string, what: string, make: () => Value): Value {
  try {
    return make()
  } catch {
    throw new StartFailure(`${name} is not ${what}.`)
  }
}
