import {
  avoidedOnStashPiece,
  customary,
  marksOnStashPiece,
  drawSheet,
  mm,
  sizeOfStashPiece,
  toMm,
  zero,
  type Length,
  type MarkKind,
  type MaterialRow,
  type StashPieceRow,
  type TypedMark,
  type TypedPlace,
  type Unit,
} from '@snowdrift/core'
import { Plus, Trash2 } from 'lucide-react'
import { useMemo, useState, type ReactNode } from 'react'
import { useChangeStashPieceMutation } from '../../api/stash-api'
import { describeError } from '../../api/describe-error'
import { Button } from '../../parts/Button'
import { IconButton } from '../../parts/IconButton'
import { LengthField } from '../../parts/LengthField'
import { Modal } from '../../parts/Modal'
import { SelectField } from '../../parts/SelectField'
import { TextField } from '../../parts/TextField'
import { Toggle } from '../../parts/Toggle'
import { sheetLooks } from '../../views/cloth/sheet-looks'
import { DrawingView } from '../../views/DrawingView'
import { sayStashPiece } from '../workspace/layout/sources'
import { placeBetween, useMarking } from './use-marking'

interface MarkedPlacesProps {
  readonly piece: StashPieceRow
  readonly row: MaterialRow
  /** What the workshop measures in. */
  readonly unit: Unit
  readonly onClose: () => void
}

type Purpose = 'avoid' | 'marks'

const purposeWords: Readonly<Record<Purpose, string>> = { avoid: 'What to avoid', marks: 'What to show' }

/** Marks the places of a piece that no cut may take in, and those that are to be seen: dragged out on its picture, or typed. */
export function MarkedPlaces({ piece, row, unit, onClose }: MarkedPlacesProps) {
  const [purpose, setPurpose] = useState<Purpose>('avoid')
  const [places, setPlaces] = useState(piece.avoid)
  const [marks, setMarks] = useState(piece.marks)
  const [save, { error, isLoading }] = useChangeStashPieceMutation()
  const size = sizeOfStashPiece(piece, row.unit)
  const division = customary(1 / 8, unit)
  const addPlace = (place: TypedPlace) =>
    purpose === 'avoid'
      ? setPlaces(before => [...before, place])
      : setMarks(before => [...before, { ...place, what: 'motif', name: `motif ${before.length + 1}` }])
  const marking = useMarking(place => addPlace(placeBetween(place.from, place.to, unit, division)))
  const cloths = useMemo(() => sheetLooks(row), [row])
  if (!size) return null
  const shown = avoidedOnStashPiece({ avoid: places }, row.unit)
  const named = marksOnStashPiece({ marks }, row.unit)
  const { place: dragged } = marking
  const isRead = shown.length === places.length && named.length === marks.length
  const drawing = drawSheet({
    name: sayStashPiece(piece, row.unit, unit),
    role: row.material.role,
    ...size,
    placements: [],
    labelOf: () => '',
    print: row.material.print ?? 'none',
    leftOvers: [],
    avoid: dragged && purpose === 'avoid' ? [...shown, dragged] : shown,
    marks: dragged && purpose === 'marks' ? [...named, { ...dragged, name: '' }] : named,
  })
  const keep = async () => {
    const kept = await save({ ...piece, avoid: places, marks })
    if (!kept.error) onClose()
  }
  return (
    <Modal title="What to avoid, what to show" open onClose={onClose}>
      <form
        className="grid gap-4"
        onSubmit={event => {
          event.preventDefault()
          void keep()
        }}
      >
        <Toggle label="Mark" value={purpose} choices={purposeWords} onChange={setPurpose} />
        <p className="text-soft">
          {purpose === 'avoid'
            ? 'A stain, a worn part, a seam, a button: layouts go round it.'
            : 'A motif, a printed border, a fold that is there already: a piece can be laid by it.'}{' '}
          Drag over it in the picture, or measure it from the left edge and from the beginning.
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
          {marks.map((mark, index) => {
            const change = (changes: Partial<TypedMark>) =>
              setMarks(marks.map((one, at) => (at === index ? { ...one, ...changes } : one)))
            return (
              <PlaceFields
                key={`mark ${index}`}
                name={mark.name || `Mark ${index + 1}`}
                place={mark}
                unit={unit}
                division={division}
                most={size}
                onChange={change}
                onRemove={() => setMarks(marks.filter((_, at) => at !== index))}
              >
                <TextField
                  label="What it is called"
                  value={mark.name}
                  most={40}
                  onChange={name => change({ name })}
                />
                <SelectField
                  label="What it is"
                  value={mark.what}
                  choices={markWords}
                  onChange={what => change({ what })}
                />
              </PlaceFields>
            )
          })}
        </ul>
        {error && (
          <p role="alert" className="text-bad">
            {describeError(error)}
          </p>
        )}
        <div className="flex flex-wrap justify-between gap-3">
          <Button onClick={() => addPlace(placeBetween([zero, zero], [mm(25.4), mm(25.4)], unit, division))}>
            <Plus className="size-4" aria-hidden /> A place
          </Button>
          <Button type="submit" look="act" disabled={isLoading || !isRead}>
            Keep
          </Button>
        </div>
      </form>
    </Modal>
  )
}

const markWords: Readonly<Record<MarkKind, string>> = {
  motif: 'a motif',
  border: 'a printed border',
  fold: 'a fold',
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
  readonly onChange: (place: Pick<TypedPlace, 'x' | 'y' | 'width' | 'height'>) => void
  readonly onRemove: () => void
  readonly children?: ReactNode
}

function PlaceFields(props: PlaceFieldsProps) {
  const { name, place, unit, division, most, onChange, onRemove, children } = props
  const end = mm(Math.ceil(toMm(most.width > most.length ? most.width : most.length)))
  return (
    <li>
      <fieldset className="grid grid-cols-[1fr_1fr_auto] items-end gap-x-5 gap-y-1">
        <legend className="text-sm font-medium">{name}</legend>
        {children}
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
