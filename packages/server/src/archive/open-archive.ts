import {
  archiveManifest,
  archiveVersion,
  check,
  type ArchiveKind,
  type Issue,
  type ReadResult,
} from '@snowdrift/core'
import { crc32 } from 'node:zlib'
import yauzl from 'yauzl'
import { manifestFile, namedFile, type NamedFile } from './file-names.js'

/** No row is longer, and no picture. */
const mostFileBytes = 512 * 1024
const mostFiles = 200_000
/** Unpacked, by what the files say of themselves, which is held to while they are read. */
const mostBytes = 1024 * 1024 * 1024
const mostIssues = 50

/** An archive that was opened: its names are known, its files are read one by one. */
export interface OpenArchive {
  readonly idsOf: (kind: ArchiveKind | 'history' | 'pictures' | 'photos') => readonly string[]
  readonly has: (name: string) => boolean
  readonly size: number
  /** The bytes of a file that is in it; a damaged one is thrown as a `Damaged`. */
  readonly read: (name: string) => Promise<Buffer>
  readonly close: () => void
}

export class Damaged extends Error {}

/** Opens the file at `path`, or says what is wrong with it before anything of it is unpacked. */
export async function openArchive(path: string): Promise<ReadResult<OpenArchive>> {
  let zip: yauzl.ZipFile
  try {
    zip = await yauzl.openPromise(path, { lazyEntries: true, autoClose: false, strictFileNames: true })
  } catch (error) {
    return refuse([
      { path: '', message: `This is no archive that can be opened: ${(error as Error).message}.` },
    ])
  }
  try {
    const listed = await listFiles(zip)
    if (!listed.ok) {
      zip.close()
      return listed
    }
    const archive = over(zip, listed.value)
    const manifest = await readManifest(archive)
    if (manifest.length === 0) return { ok: true, value: archive }
    zip.close()
    return refuse(manifest)
  } catch (error) {
    zip.close()
    return refuse([{ path: '', message: `The archive is damaged: ${(error as Error).message}.` }])
  }
}

function refuse(issues: readonly Issue[]): ReadResult<never> {
  return { ok: false, issues: issues.slice(0, mostIssues) }
}

interface Listed {
  readonly entries: ReadonlyMap<string, yauzl.Entry>
  readonly ids: ReadonlyMap<string, readonly string[]>
}

/** The names and sizes of all files, from the list at the archive’s end. */
async function listFiles(zip: yauzl.ZipFile): Promise<ReadResult<Listed>> {
  if (zip.entryCount > mostFiles)
    return refuse([{ path: '', message: `Expected at most ${mostFiles} files, found ${zip.entryCount}.` }])
  const entries = new Map<string, yauzl.Entry>()
  const ids = new Map<string, string[]>()
  const issues: Issue[] = []
  let bytes = 0
  for await (const entry of zip.eachEntry()) {
    const named = namedFile(entry.fileName)
    bytes += entry.uncompressedSize
    const wrong = wrongWith(entry, named, entries)
    if (wrong) issues.push({ path: entry.fileName.slice(0, 120), message: wrong })
    if (issues.length >= mostIssues) break
    if (bytes > mostBytes)
      return refuse([{ path: '', message: 'Unpacked it would be larger than 1 GB; no workshop is.' }])
    entries.set(entry.fileName, entry)
    if (named && 'id' in named) add(ids, named.kind, named.id)
  }
  if (issues.length === 0 && !entries.has(manifestFile))
    issues.push({ path: manifestFile, message: 'It is missing: this is a zip, and not one of a workshop.' })
  return issues.length > 0 ? refuse(issues) : { ok: true, value: { entries, ids } }
}

function wrongWith(
  entry: yauzl.Entry,
  named: NamedFile | undefined,
  entries: ReadonlyMap<string, yauzl.Entry>,
): string | undefined {
  if (!named) return 'An archive of a workshop has no file of this name.'
  if (entries.has(entry.fileName)) return 'There are two files of this name.'
  if (entry.isEncrypted()) return 'It is locked with a password. Expected an archive without one.'
  if (entry.uncompressedSize > mostFileBytes)
    return 'It would be larger than 512 kB; no row and no picture is.'
  return undefined
}

function add(lists: Map<string, string[]>, key: string, value: string): void {
  const list = lists.get(key)
  if (list) list.push(value)
  else lists.set(key, [value])
}

function over(zip: yauzl.ZipFile, { entries, ids }: Listed): OpenArchive {
  return {
    idsOf: kind => ids.get(kind) ?? [],
    has: name => entries.has(name),
    size: entries.size,
    read: async name => {
      const entry = entries.get(name)
      if (!entry) throw new Damaged(`${name} is missing`)
      try {
        const bytes = await readEntry(zip, entry)
        if (crc32(bytes) === entry.crc32) return bytes
      } catch {
        // Said below: whatever it was, the file is not what was written.
      }
      throw new Damaged('It is damaged: what was written can no longer be read.')
    },
    close: () => zip.close(),
  }
}

async function readEntry(zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<Buffer> {
  const parts: Buffer[] = []
  for await (const part of await zip.openReadStreamPromise(entry)) parts.push(part as Buffer)
  return Buffer.concat(parts)
}

async function readManifest(archive: OpenArchive): Promise<readonly Issue[]> {
  const said = parse(await archive.read(manifestFile))
  const { version } = (said ?? {}) as { readonly version?: unknown }
  if (typeof version === 'number' && version > archiveVersion)
    return [
      {
        path: `${manifestFile}: version`,
        message: `It is of version ${version}; this Snowdrift reads ${archiveVersion}. Take it in with a newer one.`,
      },
    ]
  const read = check(archiveManifest, said)
  return read.ok ? [] : read.issues.map(issue => ({ ...issue, path: `${manifestFile}: ${issue.path}` }))
}

/** The JSON in these bytes; undefined where there is none. */
export function parse(bytes: Buffer): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes)) as unknown
  } catch {
    return undefined
  }
}
