import { z } from 'zod'
import { lengthInput } from '../length/length-input.js'
import { customary, units, type Unit } from '../length/unit.js'
import { formatLength } from '../length/format.js'
import { mm, ofTicks, zero } from '../length/length.js'
import {
  layoutLimits as limits,
  turns,
  type Cloth,
  type LayoutPiece,
  type LayoutRequest,
} from '../nest/request.js'
import { clashingPins, type PinClash } from '../nest/clashing-pins.js'
import { avoidedPlacesSchema, checkAvoidedPlaces } from './cloth-places.js'
import type { Issue } from './issue.js'
import { describePinClash } from './layout-json.js'
import { check, type ReadResult } from './check.js'
import { show } from './schema-issues.js'

const layoutUnit = (input: unknown): Unit =>
  units.find(known => known === (input as { unit?: unknown } | null)?.unit) ?? 'in'

/** The layout request as JSON; a bare number is in `unit`, inches unless it says. */
export function layoutRequestSchema(unit: Unit) {
  const side = lengthInput(unit, { min: mm(limits.sideMm.min), max: mm(limits.sideMm.max) })
  const cloth = lengthInput(unit, { min: mm(limits.clothMm.min), max: mm(limits.clothMm.max) })
  const place = lengthInput(unit, { min: zero, max: mm(limits.clothMm.max) })
  const gap = lengthInput(unit, { min: zero, max: mm(limits.gapMm.max) })
  const id = z.string().trim().min(1).max(80)
  const count = (most: number) => z.int().min(1).max(most).default(1)
  return z.strictObject({
    unit: z.enum(units).default('in'),
    cuts: z.enum(['scissors', 'rotary']).default('scissors'),
    gap: gap.optional(),
    budgetMs: z.number().min(limits.budgetMs.min).max(limits.budgetMs.max).default(500),
    seed: z.int().min(0).max(Number.MAX_SAFE_INTEGER).default(1),
    cloths: z
      .array(
        z.strictObject({
          id,
          width: cloth,
          length: cloth.optional(),
          count: count(limits.sheets),
          avoid: avoidedPlacesSchema(unit).optional(),
        }),
      )
      .min(1)
      .max(limits.sheets),
    pieces: z
      .array(
        z.strictObject({
          id,
          width: side,
          height: side,
          count: count(limits.pieces),
          turn: z.enum(turns).default('none'),
          pin: z
            .strictObject({
              cloth: id,
              sheet: z.int().min(1).max(limits.sheets).default(1),
              x: place,
              y: place,
              turned: z.boolean().default(false),
            })
            .optional(),
        }),
      )
      .min(1)
      .max(limits.pieces),
    matches: z
      .array(
        z.strictObject({
          pieces: z
            .array(z.strictObject({ piece: id, x: place, y: place }))
            .min(2)
            .max(limits.pieces),
          along: side.optional(),
          across: side.optional(),
        }),
      )
      .max(limits.matches)
      .optional(),
  })
}

/** The layout request as JSON Schema (draft 2020-12). */
export function layoutRequestJsonSchema(): Record<string, unknown> {
  const schema = z.toJSONSchema(layoutRequestSchema('in'), { io: 'input', unrepresentable: 'any' })
  return { ...schema, title: 'Snowdrift layout request' }
}

export interface ReadLayoutRequest {
  readonly request: LayoutRequest
  readonly unit: Unit
}

/** Reads a layout request. Every problem names the place and says what would do; nothing of a bad one is laid. */
export function readLayoutRequest(input: unknown): ReadResult<ReadLayoutRequest> {
  const unit = layoutUnit(input)
  const read = check(layoutRequestSchema(unit), input)
  if (!read.ok) return read
  const { gap: typedGap, cuts, budgetMs, seed, pieces, cloths, matches } = read.value
  const gap = typedGap ?? (cuts === 'rotary' ? zero : customary(1 / 4, unit))
  const request: LayoutRequest = {
    cuts,
    budgetMs,
    seed,
    gap,
    cloths: cloths.map(({ length, avoid, ...cloth }) => ({
      ...cloth,
      ...(length !== undefined && { length }),
      ...(avoid && { avoid }),
    })),
    pieces: pieces.map(({ pin, ...piece }) => ({ ...piece, ...(pin && { pin }) })),
    ...(matches && {
      matches: matches.map(({ pieces: matched, along, across }) => ({
        pieces: matched,
        ...(along !== undefined && { along }),
        ...(across !== undefined && { across }),
      })),
    }),
  }
  const issues = checkRequest(request, unit)
  return issues.length > 0 ? { ok: false, issues } : { ok: true, value: { request, unit } }
}

function checkRequest(request: LayoutRequest, unit: Unit): readonly Issue[] {
  const { cloths, pieces } = request
  const many = pieces.reduce((sum, { count }) => sum + count, 0)
  const sheets = cloths.reduce((sum, { count }) => sum + count, 0)
  const issues = [
    ...twice(cloths, 'cloths'),
    ...twice(pieces, 'pieces'),
    ...cloths.flatMap(({ length, count }, index) =>
      length === undefined && count > 1
        ? [
            {
              path: `cloths[${index}].count`,
              message: `A cloth without a length has no end: expected 1, found ${count}.`,
            },
          ]
        : [],
    ),
    ...(many > limits.pieces
      ? [
          {
            path: 'pieces',
            message: `Expected at most ${limits.pieces} pieces in all, found ${many}. Lay them in parts.`,
          },
        ]
      : []),
    ...(sheets > limits.sheets
      ? [{ path: 'cloths', message: `Expected at most ${limits.sheets} sheets in all, found ${sheets}.` }]
      : []),
    ...cloths.flatMap(({ id, avoid = [], ...ground }, index) =>
      checkAvoidedPlaces(avoid, { name: show(id), ...ground }, `cloths[${index}].avoid`, unit),
    ),
    ...pieces.flatMap((piece, index) => checkPin(piece, cloths, `pieces[${index}].pin`, unit)),
    ...checkMatches(request),
  ]
  return issues.length > 0 ? issues : clashingPins(request).map(clash => sayClash(clash, request))
}

function sayClash(clash: PinClash, { pieces }: LayoutRequest): Issue {
  const at = clash.kind === 'not-parted' ? undefined : pieces.findIndex(({ id }) => id === clash.piece)
  return {
    path: at === undefined ? 'pieces' : `pieces[${at}].pin`,
    message: describePinClash(clash, { piece: show, cloth: show }),
  }
}

/** Each piece is there, in one match at most, and the match says how often the print comes again. */
function checkMatches({ matches = [], pieces }: LayoutRequest): readonly Issue[] {
  const seen = new Set<string>()
  return matches.flatMap(({ pieces: matched, along, across }, index) => [
    ...(along === undefined && across === undefined
      ? [
          {
            path: `matches[${index}].along`,
            message: 'Expected how often the print comes again along the cloth, or across it; found neither.',
          },
        ]
      : []),
    ...matched.flatMap(({ piece }, at) => {
      const path = `matches[${index}].pieces[${at}].piece`
      const isKnown = pieces.some(({ id }) => id === piece)
      const isAgain = seen.has(piece)
      seen.add(piece)
      if (!isKnown) return [{ path, message: `There is no piece ${show(piece)} to match.` }]
      return isAgain
        ? [{ path, message: `${show(piece)} is matched already; put all of it into one match.` }]
        : []
    }),
  ])
}

function twice(named: readonly { readonly id: string }[], list: string): readonly Issue[] {
  const ids = named.map(({ id }) => id)
  return ids.flatMap((id, index) =>
    ids.indexOf(id) < index
      ? [
          {
            path: `${list}[${index}].id`,
            message: `There is ${show(id)} already; each needs a name of its own.`,
          },
        ]
      : [],
  )
}

function checkPin(
  { pin, width, height, turn }: LayoutPiece,
  cloths: readonly Cloth[],
  path: string,
  unit: Unit,
): readonly Issue[] {
  if (!pin) return []
  const cloth = cloths.find(({ id }) => id === pin.cloth)
  if (!cloth)
    return [
      {
        path: `${path}.cloth`,
        message: `There is no cloth ${show(pin.cloth)}. Known: ${cloths.map(({ id }) => id).join(', ')}.`,
      },
    ]
  if (pin.sheet > cloth.count)
    return [
      {
        path: `${path}.sheet`,
        message: `There are ${cloth.count} of ${show(cloth.id)}, found ${pin.sheet}.`,
      },
    ]
  if (pin.turned && turn !== 'quarter')
    return [
      { path: `${path}.turned`, message: 'This piece may not be turned by a quarter, and is pinned so.' },
    ]
  const [wide, high] = pin.turned ? [height, width] : [width, height]
  const over = Math.max(pin.x + wide - cloth.width, pin.y + high - (cloth.length ?? Infinity))
  if (over <= 0) return []
  const say = formatLength(ofTicks(over), unit, { finest: 16 })
  return [
    {
      path,
      message: `Pinned there it goes over the edge of ${show(cloth.id)} by ${say}. Pin it further in.`,
    },
  ]
}
