import { formatLength, mm, type DirectionOdds, type Unit, type Verdict } from '@snowdrift/core'
import ApexCharts, { type ApexOptions } from 'apexcharts'
import { useEffect, useRef } from 'react'
import { verdictWords } from '../../../views/verdict-words'
import { drawInTurn } from '../../../views/draw-in-turn'
import { easeAxis, easeBars, namedBounds } from './ease-bars'

const colours: Readonly<Record<Verdict, string>> = {
  'will-not-go': 'var(--bad)',
  'tight-but-goes': 'var(--caution)',
  'drum-tight': 'var(--caution)',
  snug: 'var(--good)',
  easy: 'var(--good)',
  roomy: 'var(--strong-rule)',
  baggy: 'var(--caution)',
}

interface EaseChartProps {
  readonly odds: DirectionOdds
  readonly makes: number
  readonly unit: Unit
}

/** Columns of the ease over all makes. The table beneath says the same in words. */
export default function EaseChart({ odds, makes, unit }: EaseChartProps) {
  const place = useRef<HTMLDivElement>(null)
  const drawn = useRef<ApexCharts | null>(null)
  useEffect(
    () =>
      drawInTurn(() => {
        drawn.current?.destroy()
        drawn.current = new ApexCharts(place.current, chartOf(odds, makes, unit))
        void drawn.current.render()
      }),
    [odds, makes, unit],
  )
  useEffect(
    () => () => {
      drawn.current?.destroy()
      drawn.current = null
    },
    [],
  )
  return <div ref={place} className="h-full contain-strict" />
}

function chartOf(odds: DirectionOdds, makes: number, unit: Unit): ApexOptions {
  const { bars, stepMm } = easeBars(odds, makes)
  return {
    chart: {
      type: 'bar',
      height: '100%',
      width: '100%',
      animations: { enabled: false },
      background: 'transparent',
      fontFamily: 'inherit',
      parentHeightOffset: 0,
      toolbar: { show: false },
      zoom: { enabled: false },
    },
    annotations: {
      xaxis: namedBounds(bars).map(({ atMm, name }) => ({
        x: atMm,
        borderColor: 'var(--ink)',
        strokeDashArray: 3,
        label: {
          text: name ? verdictWords[name] : '',
          orientation: 'horizontal',
          textAnchor: 'start',
          borderWidth: 0,
          offsetY: -2,
          style: { background: 'transparent', color: 'var(--soft)', fontSize: '12px' },
        },
      })),
    },
    dataLabels: { enabled: false },
    fill: { opacity: 1 },
    grid: { show: false, padding: { top: 4, bottom: 0 } },
    legend: { show: false },
    plotOptions: { bar: { columnWidth: '92%' } },
    states: { hover: { filter: { type: 'none' } }, active: { filter: { type: 'none' } } },
    tooltip: { enabled: false },
    xaxis: {
      type: 'numeric',
      ...easeAxis(bars, stepMm, unit),
      axisBorder: { color: 'var(--rule)' },
      axisTicks: { show: false },
      decimalsInFloat: 0,
      labels: {
        style: { colors: 'var(--soft)' },
        formatter: value =>
          formatLength(mm(Number(value)), unit, { style: 'proper', finest: 16, bare: true }),
      },
      title: { text: `ease (${unit})`, style: { color: 'var(--soft)', fontWeight: 400 } },
    },
    yaxis: { show: false },
    series: [
      {
        name: 'makes',
        data: bars.map(({ fromMm, ofHundred, verdict }) => ({
          x: fromMm + stepMm / 2,
          y: ofHundred,
          fillColor: colours[verdict],
        })),
      },
    ],
  }
}
