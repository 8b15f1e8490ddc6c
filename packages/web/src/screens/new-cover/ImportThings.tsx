import { objectKinds, thingsTable, type ObjectKind } from '@snowdrift/core'
import { useState } from 'react'
import { useImportThingsMutation } from '../../api/things-api'
import { SelectField } from '../../parts/SelectField'
import { ImportTable } from '../../parts/table-import/ImportTable'
import { kindWords } from '../../views/kind-words'

const choices = Object.fromEntries(objectKinds.map(kind => [kind, kindWords[kind].name])) as Record<
  ObjectKind,
  string
>

/** Takes a table of books or devices; what they are where it does not say is said beside it. */
export function ImportThings() {
  const [importThings, { error, data, isLoading }] = useImportThingsMutation()
  const [kind, setKind] = useState<ObjectKind>('hardcover')
  return (
    <div className="flex flex-wrap items-end gap-3">
      <SelectField label="Where a line does not say" value={kind} choices={choices} onChange={setKind} />
      <ImportTable
        table={thingsTable}
        label="Table of books or devices"
        help="Bare lengths are in the workshop’s unit; several readings of one measure stand in one cell, parted by semicolons."
        isLoading={isLoading}
        done={data && sayTaken(data)}
        error={error}
        onSend={async request => (await importThings({ ...request, kind })).error}
      />
    </div>
  )
}

function sayTaken({ added, known }: { readonly added: number; readonly known: number }): string {
  const came = `${added === 0 ? 'Nothing' : added} ${added > 1 ? 'were' : 'was'} added.`
  return known > 0 ? `${came} ${known} of that name ${known > 1 ? 'were' : 'was'} here already.` : came
}
