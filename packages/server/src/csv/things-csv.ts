import {
  objectKinds,
  readingKeys,
  readThingBody,
  textOfReading,
  thingsTable,
  usualSpine,
  type ColumnMatch,
  type Issue,
  type ObjectKind,
  type ThingBody,
  type ThingRow,
  type ThingsColumn,
  type Unit,
} from '@snowdrift/core'
import { readTable, unguard, writeTable, type Line, type Refused } from './read-table.js'

/** Between several readings of one measure. */
const between = '; '

/** Measured things as a table that any spreadsheet reads. Of a reading its text is kept, not how it was taken. */
export function writeThingsCsv(things: readonly ThingRow[]): string {
  return writeTable(
    thingsTable,
    things.map(({ name, unit, object: { readings = {}, foldsBack, ...object } }) => ({
      ...object,
      name,
      unit,
      ...(foldsBack !== undefined && { foldsBack: foldsBack ? 'yes' : 'no' }),
      ...Object.fromEntries(
        readingKeys.map(key => [key, (readings[key] ?? []).map(textOfReading).join(between)]),
      ),
    })),
  )
}

export type ReadThingsCsv = { readonly ok: true; readonly things: readonly ThingBody[] } | Refused

/** Reads such a table; a line that says no kind is of `kind`, a cell without a unit in `unit`. */
export function readThingsCsv(
  text: string,
  unit: Unit,
  kind: ObjectKind,
  matched?: ColumnMatch<ThingsColumn>,
): ReadThingsCsv {
  const things: ThingBody[] = []
  const read = readTable(text, thingsTable, matched, line => takeLine(line, unit, kind, things))
  return read.ok ? { ok: true, things } : read
}

function takeLine(
  line: Line<ThingsColumn>,
  unit: Unit,
  kind: ObjectKind,
  things: ThingBody[],
): readonly Issue[] {
  const read = readThingBody({
    name: unguard(line.name) ?? '',
    unit: line.unit?.trim() || unit,
    object: objectOf(line, kind),
  })
  if (!read.ok) return read.issues
  things.push(read.value)
  return []
}

const words = ['spine', 'edges', 'frontStiffness', 'backStiffness'] as const

function objectOf(line: Line<ThingsColumn>, usual: ObjectKind): unknown {
  const kind = line.kind?.trim().toLowerCase() || usual
  const known = objectKinds.find(one => one === kind)
  const spine = known && usualSpine(known)
  const given = words.flatMap(key => (line[key] ? [[key, line[key].trim().toLowerCase()] as const] : []))
  return {
    kind,
    ...(spine && spine !== 'flat' && { spine }),
    ...Object.fromEntries(given),
    ...(line.foldsBack && { foldsBack: /^(true|yes|1)$/i.test(line.foldsBack.trim()) }),
    ...(line.tapeDivision && { tapeDivision: line.tapeDivision }),
    readings: Object.fromEntries(
      readingKeys.flatMap(key => {
        const taken = (line[key] ?? '')
          .split(';')
          .map(text => unguard(text.trim()) ?? '')
          .filter(Boolean)
        return taken.length > 0 ? [[key, taken] as const] : []
      }),
    ),
  }
}
