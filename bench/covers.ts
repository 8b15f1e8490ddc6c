import type { CoverFile } from '@snowdrift/core'

/** The n-th of as many different covers as wanted: sizes, sizing, flaps, layers and ties all vary. */
export function variedCover(n: number): CoverFile {
  const pick = <Value>(values: readonly Value[], step: number): Value =>
    values[Math.floor(n / step) % values.length] as Value
  return {
    format: 'snowdrift/cover',
    version: 2,
    name: `Cover ${n}`,
    unit: pick(['in', 'mm'] as const, 7),
    object: {
      kind: pick(['hardcover', 'softcover', 'notebook', 'planner'] as const, 1),
      spine: pick(['flat', 'rounded'] as const, 3),
      readings: {
        height: [`${150 + (n % 170)} mm`, `${149.5 + (n % 170)} mm`],
        width: [`${100 + ((n * 7) % 120)} mm`],
        thickness: [`${3 + (n % 45)} mm`],
        boardThickness: [`${(n % 5) * 0.5} mm`],
      },
    },
    family: 'slip-cover',
    sizing: pick(
      [
        { mode: 'computed' },
        { mode: 'recipe', recipe: 'two-inches' },
        { mode: 'rule', measure: 'wrap', addWidth: '40 mm', addHeight: '35 mm' },
      ] as const,
      2,
    ),
    options: pick([{}, { flapStyle: 'faced' }, { flapDepth: '60 mm' }], 5),
    layers: [
      { role: 'lining', name: 'lining', thickness: '0.28 mm', stretchAlong: 1, stretchAcross: 2.5 },
      { role: 'interfacing', name: 'interfacing', thickness: '0.25 mm' },
      {
        role: 'padding',
        name: 'padding',
        thickness: `${2 + (n % 6)} mm`,
        squash: 0.4,
        quilted: n % 4 === 0,
        takeUp: 3,
      },
      {
        role: 'outer',
        name: 'outer',
        thickness: '0.4 mm',
        stretchAlong: 1,
        stretchAcross: 2.5,
        quilted: n % 4 === 0,
      },
    ],
    extras: n % 3 === 0 ? [{ type: 'tie-pair' }] : [],
  }
}
