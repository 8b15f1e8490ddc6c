import {
  cutPieceFrom,
  describePieceEffects,
  notePiece,
  roleWords,
  setPieced,
  typicalMaterials,
  type CoverFile,
  type MaterialRow,
  type Piece,
  type Role,
  type TypedCloth,
  type TypedMaterial,
} from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { useMaterialsQuery } from '../../../api/api'
import { oneStep } from '../../../drafts/draft'
import { CheckField } from '../../../parts/CheckField'
import { controlLook, Field } from '../../../parts/Field'
import { NoteField } from '../../../parts/NoteField'
import { plannedOf } from '../../../views/planned'
import { useCover } from '../cover-context'
import { inUnit } from '../layers/layer-from'

const none: readonly MaterialRow[] = []

/** What is said of one piece: the cloth it is cut from, whether it is pieced, a word of one’s own. */
export function PieceMakeUp({ piece }: { readonly piece: Piece }) {
  const { file, change } = useCover()
  const { id } = piece
  return (
    <div className="grid gap-3">
      <ClothChoice piece={piece} />
      <CheckField
        label="Pieced from several: made larger all round, and trimmed"
        checked={file.pieced?.includes(id) ?? false}
        onChange={isPieced => change(oneStep, current => setPieced(current, id, isPieced))}
      />
      <NoteField
        label="Note"
        value={file.pieceNotes?.[id] ?? ''}
        onChange={note => change(`note-${id}`, current => notePiece(current, id, note))}
      />
    </div>
  )
}

/**
 * The cover’s own cloths first, then the workshop’s, then what is typical; each with how thick it is and, once one looks
 * for one, the sizes that would follow.
 */
function ClothChoice({ piece: { id, role } }: { readonly piece: Piece }) {
  const { file, planned, unit, change } = useCover()
  const { data: rows = none } = useMaterialsQuery()
  const [isLooking, setLooking] = useState(false)
  const { layers, cutFrom = {} } = file
  const ofRole = layers.find(layer => layer.role === role)
  const here = useMemo(() => clothsHere(file, role), [file, role])
  const own = useMemo(
    () => rows.filter(({ stock }) => stock.notion === undefined).map(row => inUnit(row, unit)),
    [rows, unit],
  )
  const effects = useMemo(() => {
    const { plan } = planned
    if (!isLooking || !plan) return {}
    const tried = [...here, ...own, ...typicalMaterials].map(cloth => {
      const after = plannedOf(cutPieceFrom(file, id, cloth)).plan
      return [cloth.name, after ? describePieceEffects(plan, after, unit) : ''] as const
    })
    return Object.fromEntries(tried)
  }, [isLooking, planned, here, own, file, id, unit])
  const known = [...here, ...own, ...typicalMaterials]
  const chosen = cutFrom[id]
  const choose = (name: string) =>
    change(oneStep, current =>
      cutPieceFrom(
        current,
        id,
        known.find(cloth => cloth.name === name),
      ),
    )
  return (
    <Field label="Cut from">
      {({ id: field }) => (
        <select
          id={field}
          className={controlLook}
          value={chosen ?? ''}
          onFocus={() => setLooking(true)}
          onPointerDown={() => setLooking(true)}
          onChange={event => choose(event.target.value)}
        >
          <option value="">{ofRole?.name || `the ${roleWords[role].toLowerCase()}`}</option>
          {chosen !== undefined && !known.some(({ name }) => name === chosen) && (
            <option value={chosen}>{chosen}</option>
          )}
          <Cloths label="On this cover" cloths={here} effects={effects} />
          <Cloths label="In the workshop" cloths={own} effects={effects} />
          <Cloths label="Typical" cloths={typicalMaterials} effects={effects} />
        </select>
      )}
    </Field>
  )
}

function clothsHere({ layers, cloths = [] }: CoverFile, role: Role): readonly TypedCloth[] {
  return [
    ...layers.flatMap(({ inset: _inset, quilted: _quilted, backs: _backs, name, ...layer }) =>
      name && layer.role !== role ? [{ ...layer, name }] : [],
    ),
    ...cloths,
  ]
}

interface ClothsProps {
  readonly label: string
  readonly cloths: readonly TypedMaterial[]
  readonly effects: Readonly<Record<string, string>>
}

function Cloths({ label, cloths, effects }: ClothsProps) {
  if (cloths.length === 0) return null
  return (
    <optgroup label={label}>
      {cloths.map(({ name, role, thickness }) => (
        <option key={`${role} ${name}`} value={name}>
          {[`${name}, ${thickness}`, effects[name]].filter(Boolean).join(' → ')}
        </option>
      ))}
    </optgroup>
  )
}
