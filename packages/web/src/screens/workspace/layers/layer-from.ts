import {
  sayUnit,
  typicalMaterials,
  type MaterialRow,
  type Role,
  type TypedLayer,
  type TypedMaterial,
  type Unit,
  roleWords,
} from '@snowdrift/core'

/** What can be chosen for a layer: the workshop's own materials, and what such materials typically measure. */
export interface MaterialChoices {
  readonly own: readonly TypedMaterial[]
  readonly typical: readonly TypedMaterial[]
}

/** The choices for a role. Lengths of the workshop's materials say their unit where the cover has another. */
export function choicesFor(role: Role, materials: readonly MaterialRow[], unit: Unit): MaterialChoices {
  return {
    own: materials.filter(({ material }) => material.role === role).map(row => inUnit(row, unit)),
    typical: typicalMaterials.filter(material => material.role === role),
  }
}

/** A layer to begin with: the first material there is of the role, or thin cotton. */
export function firstLayer(role: Role, materials: readonly MaterialRow[], unit: Unit): TypedLayer {
  const { own, typical } = choicesFor(role, materials, unit)
  const material = own[0] ?? typical[0]
  return material ? { ...material } : { role, name: roleWords[role], thickness: '0.3 mm' }
}

/** A material of the workshop as the cover writes it. */
export function inUnit({ material, unit }: MaterialRow, into: Unit): TypedMaterial {
  return unit === into ? material : { ...material, thickness: sayUnit(material.thickness, unit) }
}
