import { Zip, ZipDeflate, ZipPassThrough } from 'fflate'

export interface FileToZip {
  readonly name: string
  readonly bytes: Uint8Array
  /** Packed already, as pictures are. */
  readonly isPacked?: boolean
}

/** A zip of files as they come, in pieces; it holds no more than one file at a time. */
export async function* zipOf(files: AsyncIterable<FileToZip>): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = []
  const zip = new Zip((error, chunk) => {
    if (error) throw error
    ready.push(chunk)
  })
  for await (const { name, bytes, isPacked } of files) {
    const file = isPacked ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 })
    zip.add(file)
    file.push(bytes, true)
    yield* ready.splice(0)
  }
  zip.end()
  yield* ready.splice(0)
}
