import {
  fitOf,
  sizeOfStashPiece,
  toMm,
  toRecord,
  type Learnt,
  type MakeRow,
  type MaterialRow,
  type StashPieceRow,
  type StepKind,
  type Unit,
} from '@snowdrift/core'
import type { ApexOptions } from 'apexcharts'
import { sayEase } from '../../views/ease-words'
import { kindWords } from '../bench/step-words'

/** What all charts of the log have in common: still, quiet, in the colours of the page. */
function base(type: 'scatter' | 'bar' | 'rangeBar' | 'line'): ApexOptions {
  return {
    chart: {
      type,
      height: '100%',
      width: '100%',
      animations: { enabled: false },
      background: 'transparent',
      fontFamily: 'inherit',
      parentHeightOffset: 0,
      toolbar: { show: false },
      zoom: { enabled: false },
    },
    dataLabels: { enabled: false },
    legend: { show: true, position: 'top', horizontalAlign: 'left', labels: { colors: 'var(--ink)' } },
    tooltip: { enabled: false },
    grid: { borderColor: 'var(--rule)', padding: { top: 0, bottom: 0 } },
    states: { hover: { filter: { type: 'none' } }, active: { filter: { type: 'none' } } },
  }
}

const axisLabels = { style: { colors: 'var(--soft)' } }
const title = (text: string) => ({ text, style: { color: 'var(--soft)', fontWeight: 400 } })

/** A make whose ease was planned and is known as it came out. */
export interface EasePoint {
  readonly name: string
  readonly plannedMm: number
  readonly gotMm: number
  readonly snug: boolean
}

/** Ease planned against ease got, of every direction that was measured. */
export function easePoints(makes: readonly MakeRow[]): readonly EasePoint[] {
  return makes.flatMap(({ id, log }) => {
    const { cutMm, sewnMm, allowancesMm } = toRecord(id, log)
    return (['width', 'height'] as const).flatMap(direction => {
      const planned = log.planned.easeMm[direction]
      const [cut, sewn, taken] = [log.planned.cutMm[direction], sewnMm[direction], allowancesMm[direction]]
      if (planned === undefined || cut === undefined || sewn === undefined || taken === undefined) return []
      if (sewn > (cutMm[direction] ?? cut)) return []
      return [
        {
          name: log.name,
          plannedMm: planned,
          gotMm: planned + sewn - (cut - taken),
          snug: log.wentOn[direction] === 'snug',
        },
      ]
    })
  })
}

export function easeChart(points: readonly EasePoint[], unit: Unit): ApexOptions {
  const data = (snug: boolean) =>
    points.filter(point => point.snug === snug).map(({ plannedMm, gotMm }) => ({ x: plannedMm, y: gotMm }))
  const ends = points.flatMap(({ plannedMm, gotMm }) => [plannedMm, gotMm])
  const [least, most] = [Math.floor(Math.min(0, ...ends)), Math.ceil(Math.max(4, ...ends))]
  const formatter = (value: string | number) => sayEase(Number(value), unit)
  return {
    ...base('line'),
    colors: ['var(--good)', 'var(--ink)', 'var(--strong-rule)'],
    stroke: { width: [0, 0, 1.5], dashArray: [0, 0, 4] },
    markers: { size: [6, 6, 0], strokeWidth: 0, shape: ['circle', 'square', 'circle'] },
    series: [
      { name: 'went on snugly', type: 'scatter', data: data(true) },
      { name: 'the others', type: 'scatter', data: data(false) },
      {
        name: 'as planned',
        type: 'line',
        data: [
          { x: least, y: least },
          { x: most, y: most },
        ],
      },
    ],
    xaxis: {
      type: 'numeric',
      min: least,
      max: most,
      tickAmount: 4,
      labels: { ...axisLabels, formatter },
      title: title('ease planned'),
      axisTicks: { show: false },
    },
    yaxis: {
      min: least,
      max: most,
      tickAmount: 4,
      labels: { ...axisLabels, formatter },
      title: title('ease got'),
    },
  }
}

/** Chance foretold against what came of it, with its interval. */
export function chanceChart({ calibration }: Learnt): ApexOptions {
  const hundred = (share: number) => Math.round(share * 1000) / 10
  return {
    ...base('rangeBar'),
    colors: ['var(--strong-rule)', 'var(--thread)'],
    plotOptions: { bar: { columnWidth: '18%' } },
    fill: { opacity: [0.5, 1] },
    markers: { size: [0, 7], strokeWidth: 0 },
    stroke: { width: [0, 0] },
    series: [
      {
        name: 'interval of what came',
        type: 'rangeBar',
        data: calibration.groups.map(({ foretold, low, high }) => ({
          x: `${hundred(foretold)} %`,
          y: [hundred(low), hundred(high)],
        })),
      },
      {
        name: 'foretold',
        type: 'scatter',
        data: calibration.groups.map(({ foretold }) => ({
          x: `${hundred(foretold)} %`,
          y: hundred(foretold),
        })),
      },
    ],
    xaxis: { labels: axisLabels, title: title('chance foretold'), axisTicks: { show: false } },
    yaxis: {
      min: 0,
      max: 100,
      tickAmount: 4,
      labels: { ...axisLabels, formatter: value => `${value} %` },
      title: title('fitted'),
    },
  }
}

/** Minutes planned and taken by operation, over all makes. */
export function timeSums(makes: readonly MakeRow[]) {
  const sums = new Map<StepKind, { planned: number; took: number }>()
  for (const { log } of makes)
    for (const { kind, planned, took } of log.times) {
      const sum = sums.get(kind) ?? { planned: 0, took: 0 }
      sums.set(kind, { planned: sum.planned + planned, took: sum.took + took })
    }
  return [...sums].map(([kind, sum]) => ({ kind, ...sum })).sort((one, other) => other.took - one.took)
}

export function timeChart(sums: ReturnType<typeof timeSums>): ApexOptions {
  const shown = sums.slice(0, 8)
  const round = (minutes: number) => Math.round(minutes)
  return {
    ...base('bar'),
    colors: ['var(--strong-rule)', 'var(--thread)'],
    plotOptions: { bar: { horizontal: true, barHeight: '70%' } },
    series: [
      { name: 'planned', data: shown.map(({ planned }) => round(planned)) },
      { name: 'taken', data: shown.map(({ took }) => round(took)) },
    ],
    xaxis: {
      categories: shown.map(({ kind }) => kindWords[kind]),
      labels: axisLabels,
      title: title('minutes'),
    },
    yaxis: { labels: axisLabels },
  }
}

/** Cloth by material: what was cut, what is kept, what is free; square metres. */
export interface ClothUse {
  readonly name: string
  readonly used: number
  readonly kept: number
  readonly left: number
}

export function clothUse(
  materials: readonly MaterialRow[],
  pieces: readonly StashPieceRow[],
): readonly ClothUse[] {
  return materials
    .map(({ id, unit, material }) => {
      const area = (state: StashPieceRow['state']) =>
        pieces
          .filter(piece => piece.materialId === id && piece.state === state)
          .reduce((sum, piece) => {
            const size = sizeOfStashPiece(piece, unit)
            return sum + (size ? (toMm(size.width) * toMm(size.length) * piece.count) / 1_000_000 : 0)
          }, 0)
      return { name: material.name, used: area('cut'), kept: area('reserved'), left: area('free') }
    })
    .filter(({ used, kept, left }) => used + kept + left > 0)
    .sort((one, other) => total(other) - total(one))
}

function total({ used, kept, left }: ClothUse): number {
  return used + kept + left
}

/** Square metres, or square yards where inches are read. */
export function areaIn(squareMetres: number, unit: Unit): number {
  return unit === 'in' ? squareMetres / 0.83612736 : squareMetres
}

export function clothChart(uses: readonly ClothUse[], unit: Unit): ApexOptions {
  const shown = uses.slice(0, 8)
  const data = (of: 'used' | 'kept' | 'left') =>
    shown.map(use => Math.round(areaIn(use[of], unit) * 100) / 100)
  return {
    ...base('bar'),
    chart: { ...base('bar').chart, type: 'bar', stacked: true },
    colors: ['var(--thread)', 'var(--soft)', 'var(--rule)'],
    plotOptions: { bar: { horizontal: true, barHeight: '60%' } },
    series: [
      { name: 'cut', data: data('used') },
      { name: 'kept for a cover', data: data('kept') },
      { name: 'left', data: data('left') },
    ],
    xaxis: {
      categories: shown.map(({ name }) => name),
      labels: axisLabels,
      title: title(unit === 'in' ? 'square yards' : 'square metres'),
    },
    yaxis: { labels: axisLabels },
  }
}

/** How many of the makes fit, of those of which it is known. */
export function fitted(makes: readonly MakeRow[]): { readonly fit: number; readonly known: number } {
  const known = makes.flatMap(({ log }) => fitOf(log) ?? [])
  return { fit: known.filter(Boolean).length, known: known.length }
}
