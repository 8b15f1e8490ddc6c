import {
  avoidedOnStashPiece,
  customary,
  drawSheet,
  mm,
  sizeOfStashPiece,
  toMm,
  zero,
  type Length,
  type MaterialRow,
  type StashPieceRow,
  type TypedPlace,
  type Unit,
} from '@snowdrift/core'
import { Plus, Trash2 } from 'lucide-react'
import { useMemo, useState } from 'react'
import { useChangeStashPieceMutation } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { Button } from '../../parts/Button'
import { IconButton } from '../../parts/IconButton'
import { LengthField } from '../../parts/LengthField'
import { Modal } from '../../parts/Modal'
import { sheetLooks } from '../../views/cloth/sheet-looks'
import { DrawingView } from '../../views/DrawingView'
import { sayStashPiece } from '../workspace/layout/sources'
import { placeBetween, useMarking } from './use-marking'

interface AvoidedPlacesProps {
  readonly piece: StashPieceRow
  readonly row: MaterialRow
  /** What the workshop measures in. */
  readonly unit: Unit
  readonly onClose: () => void
}

/** Marks the places of a piece that no cut may take in: dragged out on its picture, or typed. */
export function AvoidedPlaces({ piece, row, unit, onClose }: AvoidedPlacesProps) {
  const [places, setPlaces] = useState(piece.avoid)
  const [save, { error, isLoading }] = useChangeStashPieceMutation()
  const size = sizeOfStashPiece(piece, row.unit)
  const division = customary(1 / 8, unit)
  const marking = useMarking(place =>
    setPlaces(before => [...before, placeBetween(place.from, place.to, unit, division)]),
  )
  const cloths = useMemo(() => sheetLooks(row), [row])
  if (!size) return null
  const shown = avoidedOnStashPiece({ avoid: places }, row.unit)
  const drawing = drawSheet({
    name: sayStashPiece(piece, row.unit, unit),
    role: row.material.role,
    ...size,
    placements: [],
    labelOf: () => '',
    print: row.material.print ?? 'none',
    leftOvers: [],
    avoid: marking.place ? [...shown, marking.place] : shown,
  })
  const keep = async () => {
    const kept = await save({ ...piece, avoid: places })
    if (!kept.error) onClose()
  }
  return (
    <Modal title="What to avoid" open onClose={onClose}>
      <form
        className="grid gap-4"
        onSubmit={event => {
          event.preventDefault()
          void keep()
        }}
      >
        <p className="text-soft">
          A stain, a worn part, a seam, a button: layouts go round it. Drag over it in the picture, or measure
          it from the left edge and from the beginning.
        </p>
        <div
          className="relative mx-auto max-h-80 w-full cursor-crosshair touch-none select-none"
          style={{ aspectRatio: `${drawing.width} / ${drawing.height}` }}
          data-marking
          {...marking.on(drawing, size)}
        >
          <DrawingView drawing={drawing} textScale={0.03} cloths={cloths} />
        </div>
        <ul className="grid gap-3">
          {places.map((place, index) => (
            <PlaceFields
              key={index}
              name={`Place ${index + 1}`}
              place={place}
              unit={unit}
              division={division}
              most={size}
              onChange={changed => setPlaces(places.map((one, at) => (at === index ? changed : one)))}
              onRemove={() => setPlaces(places.filter((_, at) => at !== index))}
            />
          ))}
        </ul>
        {error && (
          <p role="alert" className="text-bad">
            {describeError(error)}
          </p>
        )}
        <div className="flex flex-wrap justify-between gap-3">
          <Button
            onClick={() =>
              setPlaces([...places, placeBetween([zero, zero], [mm(25.4), mm(25.4)], unit, division)])
            }
          >
            <Plus className="size-4" aria-hidden /> A place
          </Button>
          <Button type="submit" look="act" disabled={isLoading || shown.length < places.length}>
            Keep
          </Button>
        </div>
      </form>
    </Modal>
  )
}

const sides = [
  ['x', 'From the left'],
  ['y', 'From the beginning'],
  ['width', 'Wide'],
  ['height', 'Long'],
] as const

interface PlaceFieldsProps {
  readonly name: string
  readonly place: TypedPlace
  readonly unit: Unit
  readonly division: Length
  readonly most: { readonly width: Length; readonly length: Length }
  readonly onChange: (place: TypedPlace) => void
  readonly onRemove: () => void
}

function PlaceFields({ name, place, unit, division, most, onChange, onRemove }: PlaceFieldsProps) {
  const end = mm(Math.ceil(toMm(most.width > most.length ? most.width : most.length)))
  return (
    <li>
      <fieldset className="grid grid-cols-[1fr_1fr_auto] items-end gap-x-5 gap-y-1">
        <legend className="text-sm font-medium">{name}</legend>
        {sides.map(([side, label], index) => (
          <div key={side} className={index % 2 === 0 ? 'col-start-1' : ''}>
            <LengthField
              label={label}
              unit={unit}
              division={division}
              range={{ min: index < 2 ? zero : mm(1), max: end }}
              value={place[side]}
              onChange={typed => onChange({ ...place, [side]: typed ?? '' })}
            />
          </div>
        ))}
        <IconButton icon={Trash2} label={`Take ${name.toLowerCase()} out`} onClick={onRemove} />
      </fieldset>
    </li>
  )
}
