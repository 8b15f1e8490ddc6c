import type { StandingChoice, Unit } from '@snowdrift/core'
import type { Repositories } from '../db/repositories/repositories.js'
import type { PictureShrinker } from '../pictures/shrinker.js'
import { Damaged, parse, type OpenArchive } from './open-archive.js'
import type { Tally } from './tally.js'

export interface TakeInOptions {
  readonly archive: OpenArchive
  readonly workshop: string
  /** What to do where a row stands here otherwise. */
  readonly choice: StandingChoice
  readonly shrinker: PictureShrinker
  /** Told the part of all files that is read; may throw to give up. */
  readonly tell: (part: number) => Promise<void>
}

/** What every part of taking in works with. */
export interface Work extends TakeInOptions {
  readonly repositories: Repositories
  readonly tally: Tally
  /** The ids of rows whose own belong to another workshop. */
  readonly renamed: Map<string, string>
  /** The units of the archive’s materials. */
  readonly units: Map<string, Unit>
  /** Ways of making and names of the archive’s rules. */
  readonly ruleNames: Set<string>
  /** The make, under its id here, that shows each photo. */
  readonly photosOf: Map<string, string>
  /** Writes, so long as nothing was refused: what names a refused row could not be written. */
  readonly write: (step: () => Promise<unknown>) => Promise<void>
  /** One file more is read. */
  readonly done: () => Promise<void>
}

/** The bytes of a file; what is damaged is refused. */
export async function bytesOf({ archive, tally }: Work, name: string): Promise<Buffer | undefined> {
  try {
    return await archive.read(name)
  } catch (error) {
    if (!(error instanceof Damaged)) throw error
    tally.refuse(name, [{ path: '', message: error.message }])
    return undefined
  }
}

/** The JSON in a file; what is none is refused. */
export async function jsonOf(work: Work, name: string): Promise<unknown> {
  const bytes = await bytesOf(work, name)
  const said = bytes && parse(bytes)
  if (bytes && said === undefined) work.tally.refuse(name, [{ path: '', message: 'It is no JSON.' }])
  return said
}
