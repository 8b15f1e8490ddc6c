import { judgeEase, mm, type DirectionOdds, type Unit, type Verdict } from '@snowdrift/core'
import { axisSteps } from '../../../views/ease-words'

/** One column of the chart: where it begins, how many makes of a hundred it holds, and the verdict it lies in. */
export interface EaseBar {
  readonly fromMm: number
  readonly ofHundred: number
  readonly verdict: Verdict
}

/** More columns than this say nothing more, and take longer to draw. */
const mostBars = 24

/** The histogram's columns, joined until they are few enough, each judged by its middle. */
export function easeBars(
  { histogram, fit }: DirectionOdds,
  makes: number,
): { readonly bars: readonly EaseBar[]; readonly stepMm: number } {
  const { fromMm, counts } = histogram
  const joined = Math.ceil(counts.length / mostBars)
  const stepMm = histogram.stepMm * joined
  const first = Math.floor(fromMm / stepMm)
  const ahead = Math.round(fromMm / histogram.stepMm) - first * joined
  const bars = Array.from({ length: Math.ceil((ahead + counts.length) / joined) }, (_, index) => {
    const start = Math.max(0, index * joined - ahead)
    const count = counts.slice(start, (index + 1) * joined - ahead).reduce((sum, held) => sum + held, 0)
    const from = (first + index) * stepMm
    return {
      fromMm: from,
      ofHundred: (count / makes) * 100,
      verdict: judgeEase(mm(from + stepMm / 2), fit.bands, fit.give),
    }
  })
  return { bars, stepMm }
}

/** An axis in marks of the unit round the columns, with at most ten of them; in millimetres. */
export function easeAxis(bars: readonly EaseBar[], stepMm: number, unit: Unit) {
  const [least, most] = [bars[0]?.fromMm ?? 0, (bars.at(-1)?.fromMm ?? 0) + stepMm]
  const step = axisSteps(unit).find(candidate => (most - least) / candidate <= 9) ?? most - least
  const min = Math.floor(least / step) * step
  const max = Math.ceil(most / step) * step
  return { min, max, tickAmount: Math.round((max - min) / step) }
}

/** The bounds of the verdicts that lie within the columns, with the verdict that begins there. */
function bandBounds(
  bars: readonly EaseBar[],
): readonly { readonly atMm: number; readonly begins: Verdict }[] {
  return bars.flatMap((bar, index) =>
    index > 0 && bars[index - 1]?.verdict !== bar.verdict ? [{ atMm: bar.fromMm, begins: bar.verdict }] : [],
  )
}

/** Those bounds whose name has room before the next one; all keep their line. */
export function namedBounds(bars: readonly EaseBar[]): readonly {
  readonly atMm: number
  readonly name: Verdict | undefined
}[] {
  const bounds = bandBounds(bars)
  const end = bars.at(-1)?.fromMm ?? 0
  const room = (end - (bars[0]?.fromMm ?? 0)) / 6
  return bounds.map(({ atMm, begins }, index) => ({
    atMm,
    name: (bounds[index + 1]?.atMm ?? end) - atMm >= room ? begins : undefined,
  }))
}
