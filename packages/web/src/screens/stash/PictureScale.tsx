import { mm, readLength, scalePhoto, type MaterialRow, type Stock, type Unit } from '@snowdrift/core'
import { Ruler } from 'lucide-react'
import { useId, useState } from 'react'
import { Button } from '../../parts/Button'
import { LengthField } from '../../parts/LengthField'
import { Modal } from '../../parts/Modal'
import { RangeField } from '../../parts/RangeField'
import { ClothPattern } from '../../views/cloth/ClothPattern'
import { pictureOf } from '../../views/cloth/look'
import { MarkedPicture } from './MarkedPicture'

type Photo = NonNullable<Stock['photo']>

interface PictureScaleProps {
  readonly row: MaterialRow
  readonly stock: Stock
  /** What the workshop measures in. */
  readonly unit: Unit
  readonly onChange: (photo: Photo | undefined) => void
}

/** Gives the picture of a cloth its scale, so that every drawing can show it true. */
export function PictureScale(props: PictureScaleProps) {
  const [isOpen, setOpen] = useState(false)
  const isScaled = props.stock.photo?.picture === props.row.picture
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Ruler className="size-4" aria-hidden />{' '}
        {isScaled ? 'The scale of the picture' : 'Give the picture a scale'}
      </Button>
      {isOpen && <Reading {...props} onClose={() => setOpen(false)} />}
    </>
  )
}

const uncropped = { left: 0, top: 0, right: 0, bottom: 0 }

const edges = [
  ['left', 'Left out at the left'],
  ['right', 'Left out at the right'],
  ['top', 'Left out at the top'],
  ['bottom', 'Left out at the foot'],
] as const

const apartRange = { min: mm(1), max: mm(3000) }

function Reading({
  row,
  stock,
  unit,
  onChange,
  onClose,
}: PictureScaleProps & { readonly onClose: () => void }) {
  const href = pictureOf(row.id, row.picture)
  const before = stock.photo?.picture === row.picture ? stock.photo : undefined
  const [ratio, setRatio] = useState(before?.ratio)
  const [marks, setMarks] = useState<Photo['marks']>(
    before?.marks ?? [
      [0.25, 0.2],
      [0.75, 0.2],
    ],
  )
  const [apart, setApart] = useState<string | undefined>(before && String(before.apart))
  const [turn, setTurn] = useState(before?.turn ?? 0)
  const [crop, setCrop] = useState(before?.crop ?? uncropped)
  const read = apart === undefined ? undefined : readLength(apart, row.unit, apartRange)
  const scaled =
    ratio !== undefined && read?.ok && scalePhoto({ ratio, marks, apart: read.length, turn, crop })
  const why =
    read?.ok && ratio !== undefined && !scaled
      ? 'The two marks stand on one spot, or nothing is left between the edges. Put the marks apart.'
      : ''
  const keep = () => {
    if (ratio === undefined || apart === undefined) return
    onChange({ picture: row.picture, ratio, marks, apart, turn, crop })
    onClose()
  }
  return (
    <Modal title="The scale of the picture" open onClose={onClose}>
      <div className="grid gap-4">
        <p className="text-soft">
          Put the two marks on what you know the length of: two lines of a ruler in the picture, or one motif
          and the next like it.
        </p>
        <MarkedPicture
          href={href}
          ratio={ratio}
          marks={marks}
          onRatio={setRatio}
          onMark={(index, point) => setMarks(index === 0 ? [point, marks[1]] : [marks[0], point])}
        />
        <div className="focus-within:pb-12">
          <LengthField
            label="The marks are apart"
            unit={unit}
            division={mm(1)}
            range={apartRange}
            value={apart}
            onChange={setApart}
          />
        </div>
        <div className="grid grid-cols-2 gap-x-5 gap-y-2">
          <RangeField
            label="Turned upright by"
            value={turn}
            min={-180}
            max={180}
            step={0.5}
            words={`${turn}°`}
            onChange={setTurn}
          />
          <Button onClick={() => setTurn(turn > 90 ? turn - 270 : turn + 90)}>A quarter turn</Button>
          {edges.map(([edge, label]) => (
            <RangeField
              key={edge}
              label={label}
              value={crop[edge]}
              min={0}
              max={0.6}
              step={0.01}
              words={`${Math.round(100 * crop[edge])} %`}
              onChange={share => setCrop({ ...crop, [edge]: share })}
            />
          ))}
        </div>
        {scaled && <Preview href={href} photo={scaled} />}
        {why && (
          <p role="alert" className="text-bad">
            {why}
          </p>
        )}
        <div className="flex justify-between gap-3">
          <Button
            disabled={!before}
            onClick={() => {
              onChange(undefined)
              onClose()
            }}
          >
            Take the scale off
          </Button>
          <Button look="act" disabled={!scaled} onClick={keep}>
            Keep
          </Button>
        </div>
      </div>
    </Modal>
  )
}

interface PreviewProps {
  readonly href: string
  readonly photo: NonNullable<ReturnType<typeof scalePhoto>>
}

/** As drawings will show it: twenty centimetres by ten, with a tape of ten. */
function Preview({ href, photo }: PreviewProps) {
  const id = useId()
  const look = {
    key: id,
    colour: '#ffffff',
    weave: 'plain' as const,
    repeatMm: 1,
    acrossMm: 1,
    photo: { ...photo, href },
  }
  return (
    <figure className="grid gap-1">
      <svg viewBox="0 0 200 100" role="img" aria-label="The cloth as drawings will show it">
        <defs>
          <ClothPattern id={id} look={look} />
        </defs>
        <rect width={200} height={100} fill={`url(#${id})`} />
        <path d="M10 94V88M10 91H110M110 94V88" stroke="var(--surface)" strokeWidth={3} fill="none" />
        <path d="M10 94V88M10 91H110M110 94V88" stroke="var(--ink)" strokeWidth={1} fill="none" />
      </svg>
      <figcaption className="text-sm text-soft">As drawings will show it; the line is 10 cm long.</figcaption>
    </figure>
  )
}
