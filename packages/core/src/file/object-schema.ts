import { z } from 'zod'
import { mm } from '../length/length.js'
import { defaultTapeDivision, type Unit } from '../length/unit.js'
import { stiffnesses } from '../material/material.js'
import { edgeShapes, objectKinds, spineShapes } from '../object/kind.js'
import {
  readingKeys,
  readingStates,
  type CoveredObject,
  type Reading,
  type ReadingKey,
} from '../object/reading.js'
import { lengthInput, readLength, typedLength, unread } from '../length/length-input.js'
import { readingRanges } from './reading-ranges.js'

const mostReadings = 20

/** The thing that is covered, as a file says it, turned into what the computation reads. */
export function objectSchema(unit: Unit) {
  return z
    .strictObject({
      kind: z.enum(objectKinds),
      spine: z.enum(spineShapes).default('flat'),
      foldsBack: z.boolean().default(true),
      edges: z.enum(edgeShapes).default('eased'),
      frontStiffness: z.enum(stiffnesses).optional(),
      backStiffness: z.enum(stiffnesses).optional(),
      tapeDivision: lengthInput(unit, { min: mm(0.1), max: mm(10) }).optional(),
      readings: readingsSchema(unit).default({}),
    })
    .transform(({ tapeDivision, frontStiffness, backStiffness, ...rest }): CoveredObject => ({
      ...rest,
      ...(frontStiffness && { frontStiffness }),
      ...(backStiffness && { backStiffness }),
      tapeDivision: tapeDivision ?? defaultTapeDivision(unit),
    }))
}

function readingsSchema(unit: Unit) {
  const shape = Object.fromEntries(readingKeys.map(key => [key, readingList(key, unit).optional()]))
  return z
    .strictObject(shape as Record<ReadingKey, z.ZodOptional<ReturnType<typeof readingList>>>)
    .transform(
      taken =>
        Object.fromEntries(
          Object.entries(taken).filter(([, list]) => list?.length),
        ) as CoveredObject['readings'],
    )
}

function readingList(key: ReadingKey, unit: Unit) {
  return z.array(readingSchema(key, unit)).max(mostReadings)
}

function readingSchema(key: ReadingKey, unit: Unit) {
  const detailed = z.strictObject({
    value: typedLength,
    state: z.enum(readingStates).optional(),
    about: z.boolean().optional(),
  })
  return z.union([typedLength, detailed]).transform((typed, context): Reading => {
    const entry = typeof typed === 'object' ? typed : { value: typed }
    const read = readLength(entry.value, unit, readingRanges[key])
    if (!read.ok) {
      context.issues.push(unread(read.message, typed))
      return z.NEVER
    }
    const { length, text } = read
    const about = read.about || (('about' in entry && entry.about) ?? false)
    return { text, length, about, ...('state' in entry && entry.state && { state: entry.state }) }
  })
}
