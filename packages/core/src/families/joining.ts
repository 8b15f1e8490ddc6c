import type { Role } from '../material/role.js'
import type { Piece } from '../piece/piece.js'
import type { OpeningPlace } from './opening-place.js'

/** Which side of a piece looks up, as it lies on the table. */
export type Face = 'right side up' | 'right side down'

/** One layer of a pile that is about to be joined: a piece, a notion such as a zip, or the thing itself. */
export interface PiledLayer {
  readonly what: 'piece' | 'notion' | 'thing'
  /** Of the piece or notion; `thing` for the thing. */
  readonly id: string
  readonly name: string
  readonly face: Face
  /** Where it lies when it does not cover the pile: a flap at one end, say. */
  readonly place?: 'left' | 'right' | 'both ends' | 'middle' | 'bottom' | 'top'
}

/** One joining: the pile from the table upwards, where it is joined, and where one looks from. */
export interface Joining {
  readonly id: string
  readonly name: string
  readonly layers: readonly PiledLayer[]
  readonly edges: readonly ('left' | 'right' | 'top' | 'bottom')[]
  readonly how: 'stitch' | 'glue'
  /** The gap that is left open to turn the work through. */
  readonly opening?: OpeningPlace
  /** Where the maker looks from. */
  readonly seenFrom: string
}

export function piled(
  piece: string,
  face: Face,
  place?: PiledLayer['place'],
  name = piece.replaceAll('-', ' '),
): PiledLayer {
  return { what: 'piece', id: piece, name, face, ...(place && { place }) }
}

export function piledNotion(id: string, name: string, face: Face, place?: PiledLayer['place']): PiledLayer {
  return { what: 'notion', id, name, face, ...(place && { place }) }
}

/** The book that is covered, lying in the pile. */
export function piledThing(name: string, place?: PiledLayer['place']): PiledLayer {
  return { what: 'thing', id: 'thing', name, face: 'right side up', ...(place && { place }) }
}

/** What a layer is cut from; undefined for a notion and for the thing. */
export function roleOfLayer({ what, id }: PiledLayer, pieces: readonly Piece[]): Role | undefined {
  return what === 'piece' ? pieces.find(piece => piece.id === id)?.role : undefined
}
