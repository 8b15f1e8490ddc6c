import {
  formatLength,
  mm,
  pieceSources,
  readLength,
  type MaterialRow,
  type PieceSource,
  type StashPieceRow,
  type Unit,
} from '@snowdrift/core'
import { CircleSlash, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { useAddStashPieceMutation, useRemoveStashPieceMutation } from '../../api/stash-api'
import { describeError } from '../../api/describe-error'
import { deleted } from '../../app/deleted-slice'
import { useAppDispatch } from '../../app/store'
import { Button } from '../../parts/Button'
import { IconButton } from '../../parts/IconButton'
import { CountField } from '../../parts/CountField'
import { Fractions } from '../../parts/Fractions'
import { Field, controlLook } from '../../parts/Field'
import { LengthField } from '../../parts/LengthField'
import { SelectField } from '../../parts/SelectField'
import { MarkedPlaces } from './MarkedPlaces'
import { sayStashPiece } from '../workspace/layout/sources'

const sourceWords: Readonly<Record<PieceSource, string>> = {
  yardage: 'off the bolt',
  remnant: 'remnant',
  garment: 'of a garment',
  sheet: 'sheet',
  'left-over': 'left over',
  notion: 'notion',
}

const range = { min: mm(1), max: mm(100_000) }

interface PiecesProps {
  readonly row: MaterialRow
  readonly pieces: readonly StashPieceRow[]
  /** What the workshop measures in. */
  readonly unit: Unit
}

/** The pieces that there are, and one more. */
export function Pieces({ row, pieces, unit }: PiecesProps) {
  const [remove, { error }] = useRemoveStashPieceMutation()
  const dispatch = useAppDispatch()
  const [marked, setMarked] = useState<string>()
  const toMark = pieces.find(({ id }) => id === marked)
  const takeOut = async (piece: StashPieceRow) => {
    const answer = await remove({ id: piece.id, version: piece.version })
    if (!answer.error) dispatch(deleted({ kind: 'piece', id: piece.id, name: sayAny(piece, row.unit, unit) }))
  }
  return (
    <section aria-label="Pieces" className="grid gap-3">
      <h3 className="font-semibold">Pieces</h3>
      {pieces.length === 0 && <p className="text-soft">There is none.</p>}
      <ul className="grid gap-1">
        {pieces.map(piece => (
          <li key={piece.id} className="flex items-center gap-3">
            <span className="flex-1">
              <Fractions text={sayAny(piece, row.unit, unit)} />
              {piece.state === 'reserved' && <span className="text-sm text-soft"> – kept for a cover</span>}
              {piece.avoid.length > 0 && (
                <span className="text-sm text-soft">
                  {' '}
                  – {piece.avoid.length} {piece.avoid.length === 1 ? 'place' : 'places'} to avoid
                </span>
              )}
              {piece.marks.length > 0 && (
                <span className="text-sm text-soft">
                  {' '}
                  – to show: {piece.marks.map(({ name }) => name).join(', ')}
                </span>
              )}
            </span>
            {piece.source !== 'notion' && (
              <IconButton
                icon={CircleSlash}
                label={`Mark what to avoid or to show on ${sayAny(piece, row.unit, unit)}`}
                onClick={() => setMarked(piece.id)}
              />
            )}
            <IconButton
              icon={Trash2}
              label={`Take out ${sayAny(piece, row.unit, unit)}`}
              onClick={() => void takeOut(piece)}
            />
          </li>
        ))}
      </ul>
      {error && (
        <p role="alert" className="text-bad">
          {describeError(error)}
        </p>
      )}
      {toMark && (
        <MarkedPlaces
          key={toMark.id}
          piece={toMark}
          row={row}
          unit={unit}
          onClose={() => setMarked(undefined)}
        />
      )}
      <NewPiece row={row} unit={unit} />
    </section>
  )
}

/** A piece in words: cloth by its sides, what comes off a reel by its length. */
function sayAny(piece: StashPieceRow, written: Unit, unit: Unit): string {
  if (piece.source !== 'notion') return sayStashPiece(piece, written, unit)
  const read = piece.length === null ? undefined : readLength(piece.length, written, range)
  const long = read?.ok ? ` × ${formatLength(read.length, unit, { style: 'proper', finest: 16 })}` : ''
  return `${piece.count}${long}${piece.note ? ` (${piece.note})` : ''}`
}

function NewPiece({ row, unit }: { readonly row: MaterialRow; readonly unit: Unit }) {
  const isNotion = row.stock.notion !== undefined
  const [add, { error, isLoading }] = useAddStashPieceMutation()
  const [source, setSource] = useState<PieceSource>(isNotion ? 'notion' : 'remnant')
  const [width, setWidth] = useState<string>()
  const [length, setLength] = useState<string>()
  const [count, setCount] = useState<number>()
  const [note, setNote] = useState('')
  const take = async () => {
    const body = {
      source,
      width: width ?? null,
      length: length ?? null,
      count: count ?? 1,
      note,
      avoid: [],
      marks: [],
    }
    const added = await add({ materialId: row.id, body })
    if (added.error) return
    setWidth(undefined)
    setLength(undefined)
    setNote('')
  }
  const isLength = (typed: string | undefined) => typed !== undefined && readLength(typed, row.unit, range).ok
  const ready = isNotion ? length === undefined || isLength(length) : isLength(width) && isLength(length)
  return (
    <form
      className="grid items-start gap-4 rounded-md bg-sunken/60 p-3 sm:grid-cols-4"
      onSubmit={event => {
        event.preventDefault()
        if (ready) void take()
      }}
    >
      {!isNotion && (
        <>
          <SelectField
            label="What it is"
            value={source}
            choices={
              Object.fromEntries(
                pieceSources.filter(name => name !== 'notion').map(name => [name, sourceWords[name]]),
              ) as Record<PieceSource, string>
            }
            onChange={setSource}
          />
          <LengthField
            enterSends
            label="Width"
            help="Across the grain, from selvedge to selvedge."
            unit={unit}
            division={mm(1)}
            range={range}
            value={width}
            onChange={setWidth}
          />
        </>
      )}
      <LengthField
        enterSends
        label="Length"
        help={isNotion ? undefined : 'Along the grain, with the selvedge.'}
        unit={unit}
        division={mm(1)}
        range={range}
        value={length}
        onChange={setLength}
      />
      {isNotion && (
        <CountField
          label="How many"
          help="Alike in length."
          value={count}
          fallback={1}
          min={1}
          max={10_000}
          onChange={setCount}
        />
      )}
      <Field label="Note">
        {({ id }) => (
          <input
            id={id}
            className={controlLook}
            maxLength={300}
            placeholder={source === 'garment' ? 'pocket, seams' : ''}
            value={note}
            onChange={event => setNote(event.target.value)}
          />
        )}
      </Field>
      <div className="flex items-center gap-3 sm:col-span-4">
        <Button type="submit" disabled={!ready || isLoading}>
          Add the piece
        </Button>
        {source === 'garment' && (
          <p className="text-sm text-soft">
            Measure the usable rectangle: clear of seams, and of buttons and pockets that stay.
          </p>
        )}
        {error && (
          <p role="alert" className="text-bad">
            {describeError(error)}
          </p>
        )}
      </div>
    </form>
  )
}
