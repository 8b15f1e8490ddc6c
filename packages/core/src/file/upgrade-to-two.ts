import { add, scale, longest, mm, toMm, type Length } from '../length/length.js'
import { parseLength } from '../length/parse.js'
import { customary, units, type Unit } from '../length/unit.js'
import { assumedBoardThickness, objectKinds } from '../object/kind.js'

type Json = Readonly<Record<string, unknown>>

/**
 * A file of version 1 in the words of version 2, so that its choices stay what they were: turn-ins counted beside the
 * board’s edge grow by the board, and what was taken without saying so is said: square edges of devices, 5 mm of ease on
 * folds, the seam of a recipe, the cord, the ground of a pocket. That it was reckoned before is kept, until somebody has seen
 * what comes out otherwise now. What is no such file is left as it is, for the schema to
 * find fault with.
 */
export function sayInWordsOfTwo(older: Record<string, unknown>): Record<string, unknown> {
  const said = [statesEdges, statesSeam, statesEase, growsTurnIns, statesExtras]
  return { ...said.reduce<Json>((file, say) => say(file), older), version: 2, upgradedFrom: 1 }
}

const deviceCases: readonly unknown[] = ['sleeve', 'zip-pouch', 'fold-case']

/** A device’s edges were reckoned as square. */
function statesEdges(file: Json): Json {
  const square = (thing: unknown) =>
    isRecord(thing) && (thing.kind === 'tablet' || deviceCases.includes(file.family))
      ? { edges: 'square', ...thing }
      : thing
  return {
    ...file,
    ...('object' in file && { object: square(file.object) }),
    ...(Array.isArray(file.objects) && { objects: file.objects.map(square) }),
  }
}

/** The recipe that relies on the give of the cloth had a seam of ¼ in. */
function statesSeam(file: Json): Json {
  const { sizing } = file
  const bringsIt = file.family === 'slip-cover' && isRecord(sizing) && sizing.recipe === 'deep-flaps'
  return bringsIt && file.seam === undefined
    ? { ...file, seam: written(customary(1 / 4, unitOf(file))) }
    : file
}

/** Folds that are set on the book had 5 mm of ease. */
function statesEase(file: Json): Json {
  const sizing = isRecord(file.sizing) ? file.sizing : {}
  const isComputed = sizing.mode === undefined || sizing.mode === 'computed'
  if (file.family !== 'turned-flap-cover' || !isComputed || sizing.easeWidth !== undefined) return file
  return { ...file, sizing: { mode: 'computed', ...sizing, easeWidth: '5 mm' } }
}

/** Turn-ins did not count the board’s thickness; elastic was drawn through holes for 1 mm of cord. */
function growsTurnIns(file: Json): Json {
  const { options = {} } = file
  if (!isRecord(options)) return file
  if (file.family === 'glued-wrap')
    return {
      ...file,
      options: { ...options, ...grownTurnIn(file, options, customary(2, unitOf(file)), boardOf(file)) },
    }
  if (file.family !== 'board-cover') return file
  const sheets = typeof options.sheets === 'number' ? options.sheets : 2
  const sheet = options.sheetThickness === undefined ? mm(1) : lengthOf(options.sheetThickness, unitOf(file))
  const board = sheet === undefined ? undefined : scale(sheet, sheets)
  const turnIn = grownTurnIn(file, options, customary(1, unitOf(file)), board)
  return { ...file, options: { ...options, ...turnIn, cord: '1 mm' } }
}

function grownTurnIn(file: Json, { turnIn }: Json, usual: Length, board: Length | undefined): Json {
  const before = turnIn === undefined ? usual : lengthOf(turnIn, unitOf(file))
  return before === undefined || board === undefined ? {} : { turnIn: written(add(before, board)) }
}

/** The board of the one thing that it is for, as read or as its kind has it. */
function boardOf(file: Json): Length | undefined {
  const { object } = file
  if (!isRecord(object)) return undefined
  const readings = isRecord(object.readings) ? object.readings.boardThickness : undefined
  const read = (Array.isArray(readings) ? readings : []).map(entry =>
    lengthOf(isRecord(entry) ? entry.value : entry, unitOf(file)),
  )
  const [first, ...others] = read.filter(length => length !== undefined)
  if (first !== undefined) return longest(first, ...others)
  const kind = objectKinds.find(known => known === object.kind)
  return kind && assumedBoardThickness(kind)
}

/** A loop reached to its button, not round it; a pocket sat on the flap, or on the lining, unless it said otherwise. */
function statesExtras(file: Json): Json {
  if (!Array.isArray(file.extras)) return file
  return {
    ...file,
    extras: file.extras.map((extra: unknown) => {
      if (!isRecord(extra) || typeof extra.type !== 'string') return extra
      if (extra.type === 'loop-button') return loopOf(file, extra)
      const sitsSomewhere = extra.type.startsWith('pocket-') && !deviceCases.includes(file.family)
      return sitsSomewhere && extra.on === undefined ? { ...extra, on: usualGround(file) } : extra
    }),
  }
}

function loopOf(file: Json, { edgeToButton, buttonDiameter, ...loop }: Json): Json {
  const unit = unitOf(file)
  const button = buttonDiameter === undefined ? customary(3 / 4, unit) : lengthOf(buttonDiameter, unit)
  const reach = lengthOf(edgeToButton, unit)
  return {
    ...loop,
    ...(buttonDiameter !== undefined && { button: buttonDiameter }),
    ...(reach !== undefined && button !== undefined && { standOut: written(add(reach, button)) }),
  }
}

const facedByRecipe: readonly unknown[] = ['deep-flaps', 'two-inches']

/** The likeliest piece that carried a pocket. */
function usualGround(file: Json): string {
  const options = isRecord(file.options) ? file.options : {}
  const recipe = isRecord(file.sizing) ? file.sizing.recipe : undefined
  const style = options.flapStyle ?? (facedByRecipe.includes(recipe) ? 'faced' : 'folded')
  if (file.family === 'slip-cover' || file.family === 'zip-around')
    return style === 'faced' ? 'flap-outer' : 'flap'
  const lined =
    Array.isArray(file.layers) && file.layers.some(layer => isRecord(layer) && layer.role === 'lining')
  const single = options.construction === 'single'
  return file.family === 'board-cover' || (lined && !single) ? 'lining' : 'outer'
}

function lengthOf(typed: unknown, unit: Unit): Length | undefined {
  if (typeof typed !== 'string' && typeof typed !== 'number') return undefined
  const parsed = parseLength(String(typed), unit)
  return parsed.ok ? parsed.length : undefined
}

/** To the last tick, whatever the unit of the file. */
function written(length: Length): string {
  return `${toMm(length)} mm`
}

function unitOf({ unit }: Json): Unit {
  return units.find(known => known === unit) ?? 'in'
}

function isRecord(value: unknown): value is Json {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
