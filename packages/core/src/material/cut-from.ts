import { layerOf, type Stack } from './layer.js'
import type { Material } from './material.js'
import type { Role } from './role.js'

/** By piece, what it is cut from where that is not the cloth of its role. */
export type CutFrom = Readonly<Record<string, Material>>

/** What a piece is cut from: its own cloth, or the layer of its role; undefined where there is none of either. */
export function clothOf(
  { stack, cutFrom }: { readonly stack: Stack; readonly cutFrom: CutFrom },
  piece: string,
  role: Role,
): Material | undefined {
  return cutFrom[piece] ?? layerOf(stack, role)
}

/** A piece that is to be cut from a cloth that is not there. */
export interface NoSuchCloth {
  readonly piece: string
  readonly cloth: string
}

/** Finds the cloths that pieces are said to be cut from, by their names; a layer without a name goes by its role. */
export function findCloths(
  said: Readonly<Record<string, string>>,
  materials: readonly Material[],
): { readonly cutFrom: CutFrom; readonly missing: readonly NoSuchCloth[] } {
  const found = Object.entries(said).map(([piece, cloth]) => ({
    piece,
    cloth,
    material:
      materials.find(({ name }) => alike(name, cloth)) ?? materials.find(({ role }) => alike(role, cloth)),
  }))
  return {
    cutFrom: Object.fromEntries(
      found.flatMap(({ piece, material }) => (material ? [[piece, material] as const] : [])),
    ),
    missing: found.flatMap(({ piece, cloth, material }) => (material ? [] : [{ piece, cloth }])),
  }
}

/** Cloths go by their names, whatever their capitals. */
export function alike(one: string, other: string): boolean {
  return one.trim().toLowerCase() === other.trim().toLowerCase()
}

/** The stack as it is sewn: a layer whose whole panel is cut from another cloth has that cloth’s properties. */
export function withOwnCloths(stack: Stack, cutFrom: CutFrom): Stack {
  return stack.map(layer => {
    const own = cutFrom[layer.role]
    return own ? { ...layer, ...own, role: layer.role } : layer
  })
}
