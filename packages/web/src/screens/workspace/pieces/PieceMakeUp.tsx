import {
  cutPieceFrom,
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
import { withEffect } from '../../../parts/with-effect'
import { useCover } from '../cover-context'
import { useEffects } from '../use-effects'
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
  const { file, unit, change } = useCover()
  const effects = useEffects()
  const { data: rows = none } = useMaterialsQuery()
  const [isLooking, setLooking] = useState(false)
  const { layers, cutFrom = {} } = file
  const ofRole = layers.find(layer => layer.role === role)
  const here = useMemo(() => clothsHere(file, role), [file, role])
  const own = useMemo(
    () => rows.filter(({ stock }) => stock.notion === undefined).map(row => inUnit(row, unit)),
    [rows, unit],
  )
  const effectOf = (cloth: TypedCloth) =>
    isLooking && cloth.name !== chosen ? effects(current => cutPieceFrom(current, id, cloth)) : undefined
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
          onBlur={() => setLooking(false)}
          onPointerDown={() => setLooking(true)}
          onChange={event => choose(event.target.value)}
        >
          <option value="">{ofRole?.name || `the ${roleWords[role].toLowerCase()}`}</option>
          {chosen !== undefined && !known.some(({ name }) => name === chosen) && (
            <option value={chosen}>{chosen}</option>
          )}
          <Cloths label="On this cover" cloths={here} effectOf={effectOf} />
          <Cloths label="In the workshop" cloths={own} effectOf={effectOf} />
          <Cloths label="Typical" cloths={typicalMaterials} effectOf={effectOf} />
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
  readonly effectOf: (cloth: TypedMaterial) => string | undefined
}

function Cloths({ label, cloths, effectOf }: ClothsProps) {
  if (cloths.length === 0) return null
  return (
    <optgroup label={label}>
      {cloths.map(cloth => (
        <option key={`${cloth.role} ${cloth.name}`} value={cloth.name}>
          {withEffect(`${cloth.name}, ${cloth.thickness}`, effectOf(cloth))}
        </option>
      ))}
    </optgroup>
  )
}
