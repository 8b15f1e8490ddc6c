import { cutFrom, whichWillDo, type MaterialRow, type StashPieceRow } from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { useMaterialsQuery, useStashPiecesQuery } from '../../../api/api'
import { Button } from '../../../parts/Button'
import { Fractions } from '../../../parts/Fractions'
import { useCover } from '../cover-context'
import type { GroupJob } from './group-job'
import { sayStashPiece, sourceOf } from './sources'
import type { Cutting } from './use-cutting'

const none: readonly never[] = []

/** Which pieces of the stash the group goes on, of whatever material: each by itself, one press from being used. */
export function WhichWillDo({ job, cutting }: { readonly job: GroupJob; readonly cutting: Cutting }) {
  const [isOpen, setOpen] = useState(false)
  return (
    <details
      className="rounded-md bg-sunken/60 px-3 py-2"
      onToggle={event => setOpen(event.currentTarget.open)}
    >
      <summary>Which of my pieces will do?</summary>
      {isOpen && <Answers job={job} cutting={cutting} />}
    </details>
  )
}

interface Answer {
  readonly row: MaterialRow
  readonly piece: StashPieceRow
  readonly takes: number
  readonly of: number
}

function Answers({ job, cutting }: { readonly job: GroupJob; readonly cutting: Cutting }) {
  const { unit } = useCover()
  const { data: materials = none } = useMaterialsQuery()
  const { data: pieces = none } = useStashPiecesQuery()
  const { group } = job
  const { plan } = cutting
  const answers = useMemo(
    () =>
      materials
        .filter(row => row.material.role === group.role)
        .flatMap((row): readonly Answer[] => {
          const settings = { materialId: row.id, pieces: null, buy: false, width: null, sheet: null }
          const asked = { ...plan, sources: { ...plan.sources, [group.key]: settings } }
          const { offered, sheets } = sourceOf(group, asked, materials, pieces)
          const found = whichWillDo(cutFrom(group, row.material), sheets, { cuts: plan.cuts, unit })
          return found.flatMap(({ sheet, takes, of }) => {
            const piece = offered.find(({ id }) => id === sheet)
            return piece ? [{ row, piece, takes, of }] : []
          })
        })
        .toSorted((one, other) => other.takes - one.takes),
    [materials, pieces, group, plan, unit],
  )
  if (answers.length === 0)
    return <p className="mt-2 text-soft">None of this kind in the stash is large enough.</p>
  const use = ({ row, piece }: Answer) =>
    cutting.change(before => ({
      ...before,
      sources: {
        ...before.sources,
        [group.key]: { ...job.source.settings, materialId: row.id, pieces: [piece.id] },
      },
    }))
  return (
    <ul className="mt-2 divide-y divide-rule" data-will-do>
      {answers.map(answer => (
        <li key={answer.piece.id} className="flex flex-wrap items-center gap-x-3 py-1.5">
          <span className="flex-1">
            <span className="font-medium">{answer.row.material.name}</span>:{' '}
            <Fractions text={sayStashPiece(answer.piece, answer.row.unit, unit)} />
            <span className={`block text-sm ${answer.takes === answer.of ? 'text-good' : 'text-soft'}`}>
              {answer.takes === answer.of ? 'takes it all' : `takes ${answer.takes} of ${answer.of} pieces`}
            </span>
          </span>
          <Button
            aria-label={`Use ${answer.row.material.name}, ${sayStashPiece(answer.piece, answer.row.unit, unit)}`}
            onClick={() => use(answer)}
          >
            Use it
          </Button>
        </li>
      ))}
    </ul>
  )
}
