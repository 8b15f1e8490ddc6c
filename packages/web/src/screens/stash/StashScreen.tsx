import { roles, type MaterialRow, type Role, roleWords } from '@snowdrift/core'
import { FileInput, FileOutput, Plus } from 'lucide-react'
import { useRef, useState } from 'react'
import {
  useCreateMaterialMutation,
  useImportStashMutation,
  useMaterialsQuery,
  useStashPiecesQuery,
} from '../../api/api'
import { describeError } from '../../api/describe-error'
import { Button, buttonLooks, buttonShape } from '../../parts/Button'
import { controlLook } from '../../parts/Field'
import { StashRow } from './StashRow'

/** Everything that there is to cut from and to close with: cloth, padding, boards, notions, each with its pieces. */
export function Screen() {
  const { data: materials, error } = useMaterialsQuery()
  const { data: pieces = [] } = useStashPiecesQuery()
  const [wanted, setWanted] = useState('')
  const [opened, setOpened] = useState<string>()
  const [create, creating] = useCreateMaterialMutation()
  const shown = (materials ?? []).filter(({ material }) =>
    material.name.toLowerCase().includes(wanted.trim().toLowerCase()),
  )
  const add = async () => {
    const made = await create({
      unit: 'in',
      swatch: '#c9d3d9',
      material: { role: 'outer', name: 'New cloth', thickness: '0.3 mm' },
      stock: {},
    })
    if (made.data) setOpened(made.data.id)
    setWanted('')
  }
  return (
    <main className="mx-auto grid w-full max-w-5xl gap-6 px-4 py-8 sm:px-8">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="text-3xl font-semibold tracking-tight">Stash</h1>
        <span className="flex-1" />
        <ImportTable />
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
          rows={shown.filter(({ material }) => material.role === role)}
          piecesOf={id => pieces.filter(({ materialId }) => materialId === id)}
          opened={opened}
          onOpen={setOpened}
        />
      ))}
    </main>
  )
}

interface RoleShelfProps {
  readonly role: Role
  readonly rows: readonly MaterialRow[]
  readonly piecesOf: (id: string) => Parameters<typeof StashRow>[0]['pieces']
  readonly opened: string | undefined
  readonly onOpen: (id: string | undefined) => void
}

function RoleShelf({ role, rows, piecesOf, opened, onOpen }: RoleShelfProps) {
  if (rows.length === 0) return null
  return (
    <section aria-label={roleWords[role]}>
      <h2 className="mb-1 text-lg font-semibold">{role === 'trim' ? 'Notions and trim' : roleWords[role]}</h2>
      <ul className="divide-y divide-rule border-y border-rule">
        {rows.map(row => (
          <StashRow
            key={row.id}
            row={row}
            pieces={piecesOf(row.id)}
            isOpen={opened === row.id}
            onOpen={open => onOpen(open ? row.id : undefined)}
          />
        ))}
      </ul>
    </section>
  )
}

function ImportTable() {
  const input = useRef<HTMLInputElement>(null)
  const [importStash, { error, data, isLoading }] = useImportStashMutation()
  return (
    <>
      <Button disabled={isLoading} onClick={() => input.current?.click()}>
        <FileInput className="size-4" aria-hidden /> Import CSV
      </Button>
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        className="hidden"
        aria-label="Table of a stash"
        onChange={event => {
          const [file] = event.target.files ?? []
          event.target.value = ''
          if (file) void importStash(file)
        }}
      />
      {error && (
        <p role="alert" className="order-last basis-full border-l-3 border-bad pl-3">
          The table was not taken. {describeError(error)}
        </p>
      )}
      {data && !error && (
        <p role="status" className="order-last basis-full text-good">
          {data.added} {data.added === 1 ? 'material was' : 'materials were'} added.
          {data.readAs && ` The table was read as ${data.readAs}: look whether the letters are right.`}
        </p>
      )}
    </>
  )
}
