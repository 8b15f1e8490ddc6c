import { z } from 'zod'
import type { Family } from '../families/contract.js'
import { mm, zero, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import type { Layer } from '../material/layer.js'
import { fraying, prints, stiffnesses } from '../material/material.js'
import { roles, type Role } from '../material/role.js'
import { lengthInput } from '../length/length-input.js'

const share = z.number().min(0).max(1)
const percent = z.number().min(0).max(100)

/** The properties of a material, as a file or the stash says them. */
export function materialShape(unit: Unit) {
  return {
    role: z.enum(roles),
    name: z.string().max(120),
    thickness: lengthInput(unit, { min: mm(0.01), max: mm(50) }),
    squash: share.default(0),
    stretchAlong: percent.default(0),
    stretchAcross: percent.default(0),
    shrinkage: z.number().min(0).max(30).default(0),
    takeUp: z.number().min(0).max(30).default(0),
    print: z.enum(prints).default('none'),
    frays: z.enum(fraying).default('none'),
    seeThrough: share.default(0),
    stiffness: z.enum(stiffnesses).default('soft'),
    washed: z.boolean().default(false),
    fused: z.boolean().optional(),
  }
}

/** One layer of a cover's stack. */
export function layerSchema(unit: Unit) {
  return z.strictObject({
    ...materialShape(unit),
    name: z.string().max(120).default(''),
    inset: lengthInput(unit, { min: zero, max: mm(150) }).optional(),
    quilted: z.boolean().default(false),
    backs: z.array(z.string().min(1).max(60)).min(1).max(12).optional(),
  })
}

/** A further material of a cover, without a place in its stack: single pieces are cut from it. */
export function clothSchema(unit: Unit) {
  return z.strictObject({ ...materialShape(unit), name: z.string().trim().min(1).max(120) })
}

/** What is fused where nobody says it: interfacing is, all else is not. */
export function settleMaterial<Read extends { readonly role: Role; readonly fused?: boolean | undefined }>(
  read: Read,
): Read & { readonly fused: boolean } {
  return { ...read, fused: read.fused ?? read.role === 'interfacing' }
}

type ReadLayer = z.output<ReturnType<typeof layerSchema>>

/** The layer in its place: what it does not say of its inset, the way of making decides. */
export function settleLayer(
  { inset, backs = ['outer'], ...layer }: ReadLayer,
  family: Pick<Family, 'defaultInset'>,
  unit: Unit,
): Layer {
  const { role } = layer
  return {
    ...settleMaterial(layer),
    backs: [...new Set(backs)],
    inset: inset ?? family.defaultInset?.(role, unit) ?? defaultInset(role, unit),
  }
}

/** Padding ends ½ in (12 mm) inside the edge unless said; all else is caught in the seam. */
export function defaultInset(role: Layer['role'], unit: Unit): Length {
  return role === 'padding' ? customary(1 / 2, unit) : zero
}
