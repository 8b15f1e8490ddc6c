import { access, constants, mkdir, rm, stat, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { StartFailure } from './start-failure.js'

/**
 * Makes the folder for all data where it is not, and finds out whether it can be written in. What hinders it is a
 * StartFailure, one sentence for each hindrance.
 */
export async function ensureDataFolder(folder: string): Promise<void> {
  try {
    await makeFolder(folder)
    const probe = join(folder, `.probe-${process.pid}`)
    // On a full disk there is room for a name, and for nothing in it.
    await writeFile(probe, Buffer.alloc(16_384)).finally(() => rm(probe, { force: true }))
    await access(folder, constants.R_OK | constants.X_OK)
  } catch (error) {
    throw new StartFailure(describeHindrance(folder, error as NodeJS.ErrnoException))
  }
}

/**
 * Folder by folder from the first that is there: asked for all at once, Node never comes to an end where a place
 * takes no folders, such as /proc.
 */
async function makeFolder(folder: string): Promise<void> {
  const found = await stat(folder).catch((error: unknown) => {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return undefined
    throw error
  })
  if (found?.isDirectory()) return
  if (found) throw Object.assign(new Error('not a folder'), { code: 'ENOTDIR' })
  if (dirname(folder) !== folder) await makeFolder(dirname(folder))
  await mkdir(folder, { mode: 0o700 }).catch((error: unknown) => {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
  })
}

/** Why a folder cannot be used, in a sentence that says what to do. */
export function describeHindrance(folder: string, { code, message }: NodeJS.ErrnoException): string {
  const elsewhere = 'Choose another place with SNOWDRIFT_DATA.'
  switch (code) {
    case 'ENOTDIR':
    case 'EEXIST':
      return `The data folder ${folder} cannot be made: a file stands in its place or above it. ${elsewhere}`
    case 'EACCES':
    case 'EPERM':
      return `The data folder ${folder} may not be written in by this user. Give leave, or: ${elsewhere}`
    case 'EROFS':
      return `The data folder ${folder} lies on a disk that can only be read. ${elsewhere}`
    case 'ENOSPC':
    case 'EDQUOT':
      return `The disk that holds ${folder} is full. Make room, then start again.`
    default:
      return `The data folder ${folder} cannot be used: ${message}. ${elsewhere}`
  }
}
