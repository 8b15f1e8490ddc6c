import {
  coverFormat,
  coverVersion,
  families,
  mm,
  sayObjectUnit,
  type CoverFile,
  type SettingsRow,
  type ThingRow,
  type TypedObject,
} from '@snowdrift/core'

/** A first cover for a thing: the workshop's units, plain cotton with a cotton lining, sizes computed. */
export function newCoverFile({ name, object, unit }: ThingRow, settings: SettingsRow): CoverFile {
  const { grid, seam, tapeDivision } = settings
  const said = unit === settings.unit ? object : sayObjectUnit(object, unit)
  return {
    format: coverFormat,
    version: coverVersion,
    name: `Cover for ${name}`.slice(0, 120),
    unit: settings.unit,
    ...(grid !== null && { grid }),
    object: { ...said, ...(tapeDivision !== null && said.tapeDivision === undefined && { tapeDivision }) },
    family: familyFor(said),
    ...(seam !== null && { seam }),
    sizing: { mode: 'computed' },
    options: {},
    layers: [
      { role: 'lining', name: 'Cotton lining', thickness: '0.28 mm', stretchAlong: 1, stretchAcross: 2.5 },
      { role: 'outer', name: 'Quilting cotton', thickness: '0.28 mm', stretchAlong: 1, stretchAcross: 2.5 },
    ],
    extras: [],
  }
}

/** The first way of making that suits the kind of thing; a maker changes it at will. */
function familyFor({ kind, spine = 'flat', foldsBack = true }: TypedObject): string {
  const object = { kind, spine, foldsBack, tapeDivision: mm(1), readings: {} }
  return families.find(family => family.suits(object).suits)?.id ?? ''
}
