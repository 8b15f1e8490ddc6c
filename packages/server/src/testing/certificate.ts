import { generate } from 'selfsigned'
import type { Certificate } from '../http/listen.js'

/** A certificate for 127.0.0.1 that was made just now and that nobody else has the key of. */
export async function createCertificate(): Promise<Certificate> {
  const made = await generate([{ name: 'commonName', value: 'hut.local' }], {
    keyType: 'ec',
    extensions: [{ name: 'subjectAltName', altNames: [{ type: 7, ip: '127.0.0.1' }] }],
  })
  return { cert: made.cert, key: made.private }
}
