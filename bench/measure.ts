/** The value below which the share `q` (0–1) of the samples lies. */
export function quantile(samples: readonly number[], q: number): number {
  const sorted = [...samples].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? NaN
}

/** Milliseconds that some work takes. */
export async function timed(work: () => unknown): Promise<number> {
  const began = performance.now()
  await work()
  return performance.now() - began
}

/** One line of the table: what was measured, what came, and what it must reach. */
export function report(what: string, value: number, unit: string, limit: number): void {
  const mark = value <= limit ? 'reached' : 'MISSED'
  const number = value < 10 ? value.toFixed(3) : value.toFixed(1)
  console.log(
    `${what.padEnd(62)} ${number.padStart(9)} ${unit.padEnd(3)} ≤ ${String(limit).padStart(5)}  ${mark}`,
  )
}
