import type { ErrandRequest } from '@snowdrift/core'
import { writeFile } from 'node:fs/promises'
import type { Written } from '../exports/write-file.js'
import { detailOf } from '../http/problems.js'
import { Refused, type ErrandHand, type WrittenFile } from './errand-hand.js'

/** Project sheets of covers as one file. One cover that cannot be read is named, and nothing is written. */
export async function writeSheets(
  { covers, paper }: Extract<ErrandRequest, { kind: 'sheets' }>,
  { repositories, workshop, path, tell, write }: ErrandHand,
): Promise<WrittenFile> {
  const settings = await repositories.settings.find(workshop)
  const sheets: Uint8Array[] = []
  for (const id of covers) {
    const row = await repositories.covers.find(workshop, id)
    if (!row) throw new Refused('One of these covers is not on the shelf any more.')
    const { file } = row
    const request = { file, as: 'sheet', paper, audience: 'maker', withPlain: false } as const
    const { bytes } = written(await write({ request, settings }), `“${file.name ?? 'Unnamed'}”: `)
    sheets.push(bytes)
    await tell(sheets.length / (covers.length + 1))
  }
  const { bytes, type } = written(await write({ sheets }))
  await writeFile(path, bytes, { mode: 0o600 })
  return { name: 'sheets.pdf', type }
}

/** What was written, or a refusal that begins with whose it is. */
function written(outcome: Written, whose = ''): Exclude<Written, { readonly failure: unknown }> {
  if ('failure' in outcome) throw new Refused(`${whose}${detailOf(outcome.failure)}`)
  return outcome
}
