import type { Piece } from '@snowdrift/core'
import { useLocation } from 'react-router'

export interface AskedPiece {
  readonly piece: string
  /** Another one each time that it is asked for. */
  readonly key: string
}

/** The piece that was pointed at in the picture: “?piece=flap”. What is drawn of two plies is the outer one of them. */
export function useAskedPiece(pieces: readonly Piece[]): AskedPiece | undefined {
  const { search, key } = useLocation()
  const shown = new URLSearchParams(search).get('piece')
  const piece = shown === null ? undefined : pieceShown(shown, pieces)
  return piece === undefined ? undefined : { piece, key }
}

/** The piece that an area of a picture stands for; a turned-back flap is part of the outer. */
export function pieceShown(shown: string, pieces: readonly Piece[]): string | undefined {
  const ids = pieces.map(({ id }) => id)
  return (
    ids.find(id => id === shown) ??
    ids.find(id => id.startsWith(`${shown}-`)) ??
    (shown === 'flap' ? ids.find(id => id === 'outer') : undefined)
  )
}
