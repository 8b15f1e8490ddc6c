import { roles, roleWords, type MaterialRow, type Role, type Unit } from '@snowdrift/core'
import { FileOutput, Plus } from 'lucide-react'
import { useState } from 'react'
import { useCreateMaterialMutation } from '../../api/stash-api'
import { useMaterialsQuery, useStashPiecesQuery } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { Button, buttonLooks, buttonShape } from '../../parts/Button'
import { controlLook } from '../../parts/Field'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { ImportStash } from './ImportStash'
import { StashRow } from './StashRow'
import { usePageTitle } from '../../views/use-page-title'

/** Everything that there is to cut from and to close with: cloth, padding, boards, notions, each with its pieces. */
export function Screen() {
  usePageTitle('Stash')
  const { data: materials, error } = useMaterialsQuery()
  const { data: pieces = [] } = useStashPiecesQuery()
  const [wanted, setWanted] = useState('')
  const unit = useWorkshopUnit(undefined)
  const [opened, setOpened] = useState<Opened>()
  const [create, creating] = useCreateMaterialMutation()
  const shown = (materials ?? []).filter(({ material }) =>
    material.name.toLowerCase().includes(wanted.trim().toLowerCase()),
  )
  const add = async () => {
    const made = await create({
      unit,
      swatch: '#c9d3d9',
      material: { role: 'outer', name: 'New cloth', thickness: '0.3 mm' },
      stock: {},
    })
    if (made.data) setOpened({ id: made.data.id, role: made.data.material.role })
    setWanted('')
  }
  return (
    <main className="mx-auto grid w-full max-w-5xl gap-6 px-4 py-8 sm:px-8">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="text-3xl font-semibold tracking-tight">Stash</h1>
        <span className="flex-1" />
        <ImportStash />
        <a className={`${buttonShape} ${buttonLooks.plain}`} href="/api/stash.csv" download="stash.csv">
          <FileOutput className="size-4" aria-hidden /> Export as CSV
        </a>
        <Button look="act" disabled={creating.isLoading} onClick={() => void add()}>
          <Plus className="size-4" aria-hidden /> Add
        </Button>
      </div>
      {error && <p role="alert">{describeError(error)}</p>}
      {creating.error && <p role="alert">{describeError(creating.error)}</p>}
      {materials && materials.length > 3 && (
        <input
          type="search"
          aria-label="Find in the stash"
          placeholder="Find in the stash"
          className={`${controlLook} max-w-sm`}
          value={wanted}
          onChange={event => setWanted(event.target.value)}
        />
      )}
      {materials?.length === 0 && (
        <p className="text-soft">
          Nothing is in the stash yet. Add what lies on your shelf, remnants too: layouts use it first, and
          say what is missing.
        </p>
      )}
      {materials && materials.length > 0 && shown.length === 0 && (
        <p className="text-soft">Nothing in the stash is called “{wanted}”.</p>
      )}
      {roles.map(role => (
        <RoleShelf
          key={role}
          role={role}
          unit={unit}
          rows={shown.filter(row => shelfOf(row, opened) === role)}
          piecesOf={id => pieces.filter(({ materialId }) => materialId === id)}
          opened={opened}
          onOpen={setOpened}
        />
      ))}
    </main>
  )
}

/** The row that is open, and the shelf that it was opened on: it stays there while it is worked on. */
interface Opened {
  readonly id: string
  readonly role: Role
}

function shelfOf({ id, material }: MaterialRow, opened: Opened | undefined): Role {
  return opened?.id === id ? opened.role : material.role
}

interface RoleShelfProps {
  readonly role: Role
  readonly unit: Unit
  readonly rows: readonly MaterialRow[]
  readonly piecesOf: (id: string) => Parameters<typeof StashRow>[0]['pieces']
  readonly opened: Opened | undefined
  readonly onOpen: (opened: Opened | undefined) => void
}

function RoleShelf({ role, unit, rows, piecesOf, opened, onOpen }: RoleShelfProps) {
  if (rows.length === 0) return null
  return (
    <section aria-label={roleWords[role]}>
      <h2 className="mb-1 text-lg font-semibold">{role === 'trim' ? 'Notions and trim' : roleWords[role]}</h2>
      <ul className="divide-y divide-rule border-y border-rule">
        {rows.map(row => (
          <StashRow
            key={row.id}
            row={row}
            unit={unit}
            pieces={piecesOf(row.id)}
            isOpen={opened?.id === row.id}
            onOpen={open => onOpen(open ? { id: row.id, role } : undefined)}
          />
        ))}
      </ul>
    </section>
  )
}
