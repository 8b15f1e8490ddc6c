import {
  clothAreas,
  formatLength,
  planSeries,
  readDraft,
  sayObjectUnit,
  switchFamily,
  type CoverFile,
  type SeriesCover,
  type ThingRow,
  type TypedObject,
} from '@snowdrift/core'
import type { CoverOfSeries, SeriesReply, SeriesRequest } from './series-protocol'

/** The fewest covers for the things, by one way of making after the other. */
export function* answerSeries({ id, file, things, families }: SeriesRequest): Generator<SeriesReply> {
  const unit = file.unit ?? 'in'
  const objects = things.map(thing => objectIn(thing, unit))
  for (const family of families) {
    const switched = switchFamily(file, family)
    const read = objects.map(object => readDraft(fileFor(switched, [object])))
    const cover = read.find(one => one.ok)?.value
    if (!cover) continue
    const readable = read.flatMap((one, thing) => (one.ok ? [{ thing, object: one.value.object }] : []))
    const series = planSeries(
      cover,
      readable.map(({ object }) => object),
    )
    const placeOf = (index: number) => readable[index]?.thing ?? 0
    yield {
      id,
      kind: 'series',
      family,
      covers: series.covers.map(one => toReply(one, switched, objects, placeOf)),
      bound: series.bound,
      left: things.flatMap((_, thing) => {
        const at = readable.findIndex(one => one.thing === thing)
        return at < 0 || series.left.includes(at) ? [thing] : []
      }),
    }
  }
  yield { id, kind: 'done' }
}

function objectIn({ object, unit }: ThingRow, wanted: CoverFile['unit']): TypedObject {
  return unit === wanted ? object : sayObjectUnit(object, unit)
}

/** What was read or tried of the cover’s own thing says nothing of these. */
function fileFor(file: CoverFile, objects: readonly TypedObject[]): CoverFile {
  const { object: _object, objects: _objects, trial: _trial, oldCover: _oldCover, ...others } = file
  const [object] = objects
  return objects.length > 1 ? { ...others, objects: [...objects] } : { ...others, ...(object && { object }) }
}

function toReply(
  { things, cover, plan }: SeriesCover,
  file: CoverFile,
  objects: readonly TypedObject[],
  placeOf: (index: number) => number,
): CoverOfSeries {
  const places = things.map(placeOf)
  const outer = plan.pieces.find(({ id }) => id === 'outer')
  const { family, unit, sizing } = cover
  const own = cover.objects.length > 1 ? places : places.slice(0, 1)
  const made = fileFor(
    file,
    own.flatMap(place => objects[place] ?? []),
  )
  return {
    things: places,
    outer: { width: outer?.width.cut ?? cover.grid, height: outer?.height.cut ?? cover.grid },
    file: {
      ...made,
      family: family.id,
      ...(sizing.mode === 'cut' && {
        sizing: {
          mode: 'cut',
          width: formatLength(sizing.width, unit),
          height: formatLength(sizing.height, unit),
        },
      }),
    },
    cloth: clothAreas(plan),
  }
}
