import {
  formatLength,
  mm,
  readLength,
  sizeOfStashPiece,
  type MaterialRow,
  type StashPieceRow,
  type Unit,
} from '@snowdrift/core'
import { ChevronDown } from 'lucide-react'
import { Fractions } from '../../parts/Fractions'
import { WrittenUnit } from '../../parts/written-unit'
import { pricedBy, shownPrice } from '../../views/price-words'
import { usePay } from '../../views/use-pay'
import { Swatch } from '../../views/Swatch'
import { History } from './History'
import { MaterialForm } from './MaterialForm'
import { Pieces } from './Pieces'

interface StashRowProps {
  readonly row: MaterialRow
  /** What the workshop measures in. */
  readonly unit: Unit
  readonly pieces: readonly StashPieceRow[]
  readonly isOpen: boolean
  readonly onOpen: (open: boolean) => void
}

/** One row of the stash; opened, its pieces, its properties and what became of it. */
export function StashRow({ row, unit, pieces, isOpen, onOpen }: StashRowProps) {
  const { material } = row
  const pay = usePay()
  return (
    <li data-material={material.name}>
      <button
        type="button"
        className="flex w-full items-center gap-4 py-3 text-left"
        aria-expanded={isOpen}
        onClick={() => onOpen(!isOpen)}
      >
        <Swatch row={row} />
        <span className="grid flex-1 gap-0.5">
          <span className="text-lg font-medium">{material.name}</span>
          <span className="text-sm text-soft">{describe(row, unit, pay)}</span>
          <span className="text-sm">
            <Fractions text={sayPieces(row, pieces, unit)} />
          </span>
        </span>
        <ChevronDown className={`size-5 text-soft ${isOpen ? 'rotate-180' : ''}`} aria-hidden />
      </button>
      {isOpen && (
        <div className="grid gap-8 pb-6 sm:pl-18">
          <WrittenUnit value={row.unit}>
            <Pieces row={row} pieces={pieces} unit={unit} />
            <MaterialForm key={row.id} row={row} unit={unit} />
          </WrittenUnit>
          <History id={row.id} />
        </div>
      )}
    </li>
  )
}

const anyLength = { min: mm(1), max: mm(100_000) }

function describe(
  { material, stock, unit: written }: MaterialRow,
  unit: Unit,
  pay: (amount: number) => string,
): string {
  const { shrinkage = 0, washed = false, print = 'none' } = material
  return [
    stock.notion?.replaceAll('-', ' '),
    print === 'none' ? undefined : `the print ${print === 'one-way' ? 'has a top' : 'goes either way up'}`,
    washed ? 'washed' : shrinkage > 0 ? `shrinks ${shrinkage} %` : undefined,
    stock.price === undefined
      ? undefined
      : `${pay(shownPrice(stock.price, { role: material.role, notion: stock.notion, written, unit }))} a ${pricedBy(material.role, stock.notion, unit)}`,
  ]
    .filter(Boolean)
    .join(' · ')
}

function sayPieces({ unit: written }: MaterialRow, pieces: readonly StashPieceRow[], unit: Unit): string {
  if (pieces.length === 0) return 'none left'
  return pieces
    .map(piece => {
      const size = sizeOfStashPiece(piece, written)
      const say = (length: Parameters<typeof formatLength>[0], bare: boolean) =>
        formatLength(length, unit, { style: 'proper', finest: 16, bare })
      const kept = piece.state === 'reserved' ? ' (kept)' : ''
      if (size) return `${say(size.width, true)} × ${say(size.length, false)}${kept}`
      const length = piece.length === null ? undefined : readLength(piece.length, written, anyLength)
      if (!length?.ok) return `${piece.count}${kept}`
      return `${piece.count > 1 ? `${piece.count} × ` : ''}${say(length.length, false)}${kept}`
    })
    .join(', ')
}
