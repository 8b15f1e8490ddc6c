import { formatLength, sizeOfStashPiece, type MaterialRow, type StashPieceRow } from '@snowdrift/core'
import { ChevronDown } from 'lucide-react'
import { Fractions } from '../../parts/Fractions'
import { Swatch } from '../../views/Swatch'
import { History } from './History'
import { MaterialForm } from './MaterialForm'
import { Pieces } from './Pieces'

interface StashRowProps {
  readonly row: MaterialRow
  readonly pieces: readonly StashPieceRow[]
  readonly isOpen: boolean
  readonly onOpen: (open: boolean) => void
}

/** One row of the stash; opened, its pieces, its properties and what became of it. */
export function StashRow({ row, pieces, isOpen, onOpen }: StashRowProps) {
  const { material } = row
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
          <span className="text-sm text-soft">{describe(row)}</span>
          <span className="text-sm">
            <Fractions text={sayPieces(row, pieces)} />
          </span>
        </span>
        <ChevronDown className={`size-5 text-soft ${isOpen ? 'rotate-180' : ''}`} aria-hidden />
      </button>
      {isOpen && (
        <div className="grid gap-8 pb-6 sm:pl-18">
          <Pieces row={row} pieces={pieces} />
          <MaterialForm key={row.id} row={row} />
          <History id={row.id} />
        </div>
      )}
    </li>
  )
}

function describe({ material, stock }: MaterialRow): string {
  const { shrinkage = 0, washed = false, print = 'none' } = material
  return [
    stock.notion?.replaceAll('-', ' '),
    print === 'none' ? undefined : `${print} print`,
    washed ? 'washed' : shrinkage > 0 ? `shrinks ${shrinkage} %` : undefined,
    stock.price === undefined ? undefined : sayPrice(stock.price),
  ]
    .filter(Boolean)
    .join(' · ')
}

function priceOf(notion: string | undefined): string {
  return notion === undefined || notion === 'cord' || notion === 'ribbon' || notion === 'elastic'
    ? 'metre'
    : 'piece'
}

function sayPieces({ unit }: MaterialRow, pieces: readonly StashPieceRow[]): string {
  if (pieces.length === 0) return 'none left'
  return pieces
    .map(piece => {
      const size = sizeOfStashPiece(piece, unit)
      const say = (length: Parameters<typeof formatLength>[0], bare: boolean) =>
        formatLength(length, unit, { style: 'proper', finest: 16, bare })
      const kept = piece.state === 'reserved' ? ' (kept)' : ''
      if (size) return `${say(size.width, true)} × ${say(size.length, false)}${kept}`
      return `${piece.count > 1 ? `${piece.count} × ` : ''}${piece.length ?? 'counted'}${kept}`
    })
    .join(', ')
}
