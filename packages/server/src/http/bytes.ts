import type { Context } from 'hono'

/** Reads a body as it comes; undefined once it is over so many bytes. */
export async function readBytes(context: Context, most: number): Promise<Buffer | undefined> {
  const parts: Uint8Array[] = []
  let bytes = 0
  for await (const part of context.req.raw.body ?? []) {
    bytes += part.length
    if (bytes > most) return undefined
    parts.push(part)
  }
  return Buffer.concat(parts)
}
