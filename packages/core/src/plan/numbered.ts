import type { Notion } from '../piece/notion.js'
import type { Piece } from '../piece/piece.js'

/** A piece, and which extra brought it, counted from 0. */
export interface FromExtra {
  readonly piece: Piece
  readonly index?: number
}

/** The second of a name is called name-2, and so on. */
export function numbered(list: readonly FromExtra[]): readonly FromExtra[] {
  const name = counter()
  return list.map(entry => ({ ...entry, piece: { ...entry.piece, id: name(entry.piece.id) } }))
}

/** A notion, and which extra brought it. */
export interface NotionFromExtra {
  readonly notion: Notion
  readonly index?: number
}

/** Likewise of notions. */
export function numberedNotions(list: readonly NotionFromExtra[]): readonly NotionFromExtra[] {
  const name = counter()
  return list.map(entry => ({ ...entry, notion: { ...entry.notion, id: name(entry.notion.id) } }))
}

function counter(): (id: string) => string {
  const seen = new Map<string, number>()
  return id => {
    const count = (seen.get(id) ?? 0) + 1
    seen.set(id, count)
    return count === 1 ? id : `${id}-${count}`
  }
}
