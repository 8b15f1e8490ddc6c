import { createReadStream } from 'node:fs'
import type { Terminal } from './terminal.js'

type ReadJson =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string }

/** No cover file comes near it; a larger one is something else. */
const coverFileBytes = 1_000_000
/** Many covers, or the makes of many years. */
export const manyBytes = 20_000_000

/** Reads JSON from a file, or from standard input for `-`; nothing that is larger than expected. */
export async function readJson(
  file: string,
  { input }: Terminal,
  mostBytes = coverFileBytes,
): Promise<ReadJson> {
  const name = file === '-' ? 'standard input' : file
  try {
    const text = await readText(file === '-' ? input : createReadStream(file), mostBytes)
    if (text === undefined)
      return { ok: false, message: `${name}: larger than it can be (${mostBytes / 1_000_000} MB).` }
    return parse(text, name)
  } catch (error) {
    return { ok: false, message: `${name}: ${describeFileError(error)}` }
  }
}

function parse(text: string, name: string): ReadJson {
  try {
    return { ok: true, value: JSON.parse(text.replace(/^\uFEFF/, '')) as unknown }
  } catch (error) {
    return { ok: false, message: `${name}: not JSON: ${(error as SyntaxError).message.replace(/\s+/g, ' ')}` }
  }
}

async function readText(
  stream: AsyncIterable<Uint8Array | string>,
  mostBytes: number,
): Promise<string | undefined> {
  const chunks: Buffer[] = []
  let bytes = 0
  for await (const chunk of stream) {
    const part = Buffer.from(chunk)
    bytes += part.length
    if (bytes > mostBytes) return undefined
    chunks.push(part)
  }
  return Buffer.concat(chunks).toString('utf8')
}

function describeFileError(error: unknown): string {
  const { code } = error as NodeJS.ErrnoException
  if (code === 'ENOENT') return 'there is no such file.'
  if (code === 'EISDIR') return 'this is a folder, not a file.'
  if (code === 'EACCES') return 'this file may not be read.'
  throw error
}
