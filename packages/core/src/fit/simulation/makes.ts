import type { Factor, Gauge, LinearForm, Term } from './model.js'
import { createRandomStream } from './random.js'

/** What came out of many makes: for each gauge one value a make, and how often each way of a choice was the larger. */
export interface Makes {
  readonly valuesMm: readonly Float64Array[]
  /** By gauge, choice and way: the share of makes that it decided. */
  readonly decided: readonly (readonly (readonly number[])[])[]
}

/** Even, so that normal numbers, which come in pairs, are the same whatever the number of makes. */
const blockSize = 4096

/**
 * Makes the cover `count` times, errors drawn from the seed. Yields the share done after every block of makes, so
 * that a caller can show progress or stop; the same seed gives the same makes.
 */
export function* makeMany(
  gauges: readonly Gauge[],
  { count, seed }: { readonly count: number; readonly seed: number },
): Generator<number, Makes> {
  const draws = new Float64Array(blockSize)
  const errors = listFactors(gauges).map(factor => ({
    factor,
    stream: createRandomStream(seed, factor.id),
  }))
  const tables = gauges.map(gauge => createTable(gauge, count))
  for (let start = 0; start < count; start += blockSize) {
    const length = Math.min(blockSize, count - start)
    for (const table of tables) resetForms(table)
    for (const { factor, stream } of errors) {
      if (factor.shape === 'normal') stream.fillNormal(draws)
      else stream.fillUniform(draws)
      for (const table of tables) for (const form of table.forms) addDraws(form, factor, draws)
    }
    for (const table of tables) settleBlock(table, start, length)
    yield (start + length) / count
  }
  return {
    valuesMm: tables.map(({ values }) => values),
    decided: tables.map(({ choices }) => choices.map(({ wins }) => wins.map(won => won / count))),
  }
}

interface FormTable {
  readonly plannedMm: number
  readonly weights: ReadonlyMap<string, number>
  readonly slopes: readonly Term[]
  readonly values: Float64Array
}

interface Table {
  readonly values: Float64Array
  readonly main: FormTable
  readonly choices: readonly { readonly ways: readonly FormTable[]; readonly wins: number[] }[]
  readonly forms: readonly FormTable[]
}

function createTable({ main, larger }: Gauge, count: number): Table {
  const mainTable = formTable(main)
  const choices = larger.map(ways => ({ ways: ways.map(formTable), wins: ways.map(() => 0) }))
  return {
    values: new Float64Array(count),
    main: mainTable,
    choices,
    forms: [mainTable, ...choices.flatMap(({ ways }) => ways)],
  }
}

/** One factor may stand in a sum more than once: over the ends and over the fold. */
function formTable({ plannedMm, terms }: LinearForm): FormTable {
  const weights = new Map<string, number>()
  for (const { factor, weight, slope } of terms)
    if (!slope) weights.set(factor.id, (weights.get(factor.id) ?? 0) + weight)
  const slopes = terms.filter(({ slope }) => slope)
  return { plannedMm, weights, slopes, values: new Float64Array(blockSize) }
}

/** Every factor once, in the order they are met. */
export function listFactors(gauges: readonly Gauge[]): readonly Factor[] {
  const terms = gauges.flatMap(({ main, larger }) => [
    ...main.terms,
    ...larger.flat().flatMap(way => way.terms),
  ])
  return [...new Map(terms.map(({ factor }) => [factor.id, factor])).values()]
}

function resetForms({ forms }: Table): void {
  for (const { plannedMm, values } of forms) values.fill(plannedMm)
}

function addDraws(form: FormTable, factor: Factor, draws: Float64Array): void {
  addInProportion(form, factor, draws)
  for (const { factor: own, slope } of form.slopes)
    if (slope && own.id === factor.id) addSlope(form.values, slope, factor.spread, draws)
}

/** How much more, or less, the way down the slope gets with each draw than it is as planned. */
function addSlope(
  values: Float64Array,
  { riseMm, runMm, sign }: NonNullable<Term['slope']>,
  spread: number,
  draws: Float64Array,
): void {
  const planned = Math.hypot(riseMm, runMm)
  for (let index = 0; index < draws.length; index += 1) {
    const now = Math.hypot(riseMm * (1 + spread * (draws[index] ?? 0)), runMm)
    values[index] = (values[index] ?? 0) + sign * (Math.PI / 2) * (now - planned)
  }
}

function addInProportion({ weights, values }: FormTable, { id, spread }: Factor, draws: Float64Array): void {
  const weight = (weights.get(id) ?? 0) * spread
  if (weight === 0) return
  for (let index = 0; index < draws.length; index += 1)
    values[index] = (values[index] ?? 0) + weight * (draws[index] ?? 0)
}

function settleBlock({ values, main, choices }: Table, start: number, length: number): void {
  values.set(main.values.subarray(0, length), start)
  for (const choice of choices) takeLarger(values.subarray(start, start + length), choice)
}

/** Takes off what the larger of several sums came to in each make, and counts which it was. */
function takeLarger(values: Float64Array, { ways, wins }: Table['choices'][number]): void {
  for (let index = 0; index < values.length; index += 1) {
    let best = 0
    for (let way = 1; way < ways.length; way += 1)
      if ((ways[way]?.values[index] ?? 0) > (ways[best]?.values[index] ?? 0)) best = way
    wins[best] = (wins[best] ?? 0) + 1
    values[index] = (values[index] ?? 0) - (ways[best]?.values[index] ?? 0)
  }
}
