import {
  coverFormat,
  coverVersion,
  families,
  mm,
  sayObjectUnit,
  typicalMaterials,
  type CoverFile,
  type Family,
  type Role,
  type SettingsRow,
  type ThingRow,
  type TypedHand,
  type TypedLayer,
  type TypedObject,
} from '@snowdrift/core'

/** A first cover for a thing: the workshop's units, plain cotton, lined, sizes computed; `hand` where it is known and wanted. */
export function newCoverFile(
  { name, object, unit }: ThingRow,
  settings: SettingsRow,
  hand?: TypedHand,
): CoverFile {
  const { grid, seam, tapeDivision } = settings
  const said = unit === settings.unit ? object : sayObjectUnit(object, unit)
  const family = familyFor(said)
  return {
    format: coverFormat,
    version: coverVersion,
    name: `Cover for ${name}`.slice(0, 120),
    unit: settings.unit,
    ...(grid !== null && { grid }),
    object: { ...said, ...(tapeDivision !== null && said.tapeDivision === undefined && { tapeDivision }) },
    family: family?.id ?? '',
    ...(seam !== null && { seam }),
    sizing: { mode: 'computed' },
    options: {},
    layers: layersFor(family),
    extras: [],
    ...(hand && { hand }),
  }
}

/** The first way of making that suits the kind of thing; a maker changes it at will. */
function familyFor({ kind, spine = 'flat', foldsBack = true }: TypedObject): Family | undefined {
  const object = { kind, spine, foldsBack, edges: 'eased', tapeDivision: mm(1), readings: {} } as const
  return families.find(family => family.suits(object).suits)
}

/** Cotton, as it typically measures; what boards are covered with is lined with card. */
function layersFor(family: Family | undefined): TypedLayer[] {
  const lining = family?.traits.includes('boards') ? typical('card') : typical('lining')
  return [lining, typical('outer', 'Quilting cotton')]
}

function typical(role: Role, name?: string): TypedLayer {
  const found = typicalMaterials.find(
    material => material.role === role && (name ?? material.name) === material.name,
  )
  if (!found) throw new Error(`No typical ${name ?? role}`)
  return { ...found }
}
