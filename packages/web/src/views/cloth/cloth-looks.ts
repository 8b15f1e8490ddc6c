import {
  alike,
  originUnder,
  type Fill,
  type MaterialRow,
  type PathMark,
  type PrintOrigin,
  type Role,
} from '@snowdrift/core'
import type { Planned } from '../planned'
import { lookOf, type ClothLook } from './look'

/**
 * How what is drawn as a piece, or as a fill, looks in its cloth; undefined where it is drawn in lines alone. Of an area in
 * the plane of the flat cover, with the print where it was laid.
 */
export type ClothLooks = (piece: string | undefined, fill: Fill, area?: PathMark) => ClothLook | undefined

/** What a cover’s pieces are cut from, by name. */
export interface ClothNames {
  /** By role, of the layers. */
  readonly layers: Readonly<Partial<Record<Role, string>>>
  /** By piece, where it has a cloth of its own. */
  readonly own: Readonly<Record<string, ClothName>>
  readonly roles: Readonly<Record<string, Role>>
}

export interface ClothName {
  readonly name: string
  readonly role: Role
}

export function clothsOf({ cover, plan }: Planned): ClothNames {
  return {
    layers: Object.fromEntries(cover?.stack.map(({ role, name }) => [role, name]) ?? []),
    own: Object.fromEntries(
      Object.entries(cover?.cutFrom ?? {}).map(([piece, { name, role }]) => [piece, { name, role }]),
    ),
    roles: Object.fromEntries(plan?.pieces.map(({ id, role }) => [id, role]) ?? []),
  }
}

const roleOfFill: Readonly<Partial<Record<Fill, Role>>> = {
  outside: 'outer',
  outer: 'outer',
  pocket: 'outer',
  inside: 'lining',
  lining: 'lining',
  padding: 'padding',
  interfacing: 'interfacing',
  card: 'card',
  board: 'board',
}

/**
 * What each piece of a cover is cut from, as the stash has it by name. The inside of a panel is its lining; where there is
 * none, the wrong side of the cloth, of which nothing is known. What is no piece is the thing itself.
 */
export function looksOf({ layers, own, roles }: ClothNames, materials: readonly MaterialRow[]): ClothLooks {
  const known = new Map<string, ClothLook | undefined>()
  const find = (piece: string | undefined, fill: Fill) => {
    const byFill = roleOfFill[fill]
    if (!byFill || piece === undefined) return undefined
    const shown = fill === 'inside' && piece === 'outer' ? 'lining' : piece
    const role = roles[shown] ?? byFill
    return lookOfCloth(own[shown] ?? { name: layers[role] ?? '', role }, materials)
  }
  return (piece, fill) => {
    const key = `${piece ?? ''} ${fill}`
    if (!known.has(key)) known.set(key, find(piece, fill))
    return known.get(key)
  }
}

/** The same, with the print of pieces that are pinned where they will show it. */
export function inPrint(looks: ClothLooks, origins: readonly PrintOrigin[]): ClothLooks {
  if (origins.length === 0) return looks
  return (piece, fill, area) => {
    const look = looks(piece, fill)
    const origin = look && area && originUnder(origins, area)
    if (!origin) return look
    const { x, y } = origin
    return { ...look, key: `${look.key}-${x}-${y}`.replaceAll('.', '_'), from: [x, y] }
  }
}

/** The stash has it by its name; of several alike, the one for the same use. */
function lookOfCloth({ name, role }: ClothName, materials: readonly MaterialRow[]): ClothLook | undefined {
  if (!name) return undefined
  const named = materials.filter(({ material }) => alike(material.name, name))
  const row = named.find(({ material }) => material.role === role) ?? named[0]
  return row && lookOf(row)
}
