import { stashTable } from '@snowdrift/core'
import { useImportStashMutation } from '../../api/stash-api'
import { ImportTable } from '../../parts/table-import/ImportTable'
import { sayImported } from './import-words'

/** Takes a table into the stash. */
export function ImportStash() {
  const [importStash, { error, data, isLoading }] = useImportStashMutation()
  return (
    <ImportTable
      table={stashTable}
      label="Table of a stash"
      help="What has no role is outer cloth, and a piece that does not say what it is a remnant. Bare lengths are in the workshop’s unit."
      isLoading={isLoading}
      done={data && sayImported(data)}
      error={error}
      onSend={async request => (await importStash(request)).error}
    />
  )
}
