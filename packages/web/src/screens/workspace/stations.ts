import {
  canBeCut,
  kindOfSubject,
  topOfPath,
  type Finding,
  type Severity,
  type SubjectKind,
} from '@snowdrift/core'
import { gravestOf } from '../../parts/severity'
import type { Planned } from '../../views/planned'

/** The stations of a cover, in the order of the work. */
export const stations = ['measure', 'make-up', 'layers', 'fit', 'pieces', 'layout', 'make', 'log'] as const
export type Station = (typeof stations)[number]

export const stationWords: Readonly<Record<Station, string>> = {
  measure: 'Measure',
  'make-up': 'Make-up',
  layers: 'Layers',
  fit: 'Fit',
  pieces: 'Pieces',
  layout: 'Layout',
  make: 'Make',
  log: 'Log',
}

/** The station after it; undefined after the last. */
export function nextOf(station: Station): Station | undefined {
  return stations[stations.indexOf(station) + 1]
}

/** `waits`: something is missing before it can be settled. Else settled, or what it has to say at the gravest. */
export type StationState = 'waits' | 'settled' | Severity

export const stationStateWords: Readonly<Record<StationState, string>> = {
  waits: 'waits',
  settled: 'settled',
  error: 'cannot be made like this',
  warning: 'has a warning',
  advice: 'has something to say',
}

export function stateOf(station: Station, { plan, missing, issues, findings }: Planned): StationState {
  if (issues.some(({ path }) => stationOfPlace(path) === station)) return 'waits'
  const toSay = gravestOf(findings.filter(finding => stationOf(finding) === station)) ?? 'settled'
  // The cover that has a piece of no size is neither laid out nor made.
  if (afterPieces.includes(station) && !canBeCut(findings)) return 'waits'
  if (plan || station === 'layers') return toSay
  return station === 'measure' && missing.length === 0 ? toSay : 'waits'
}

const afterPieces: readonly Station[] = stations.slice(stations.indexOf('pieces') + 1)

/** Where what is found about a kind of thing is seen to. */
const stationFor: Readonly<Record<SubjectKind, Station>> = {
  reading: 'measure',
  layer: 'layers',
  fit: 'fit',
  piece: 'pieces',
  option: 'make-up',
  extra: 'make-up',
  seam: 'make-up',
  sizing: 'make-up',
  family: 'make-up',
  tools: 'make',
}

/** Where a place in the cover file is typed. */
export function stationOfPlace(path: string): Station {
  switch (topOfPath(path)) {
    case 'object':
    case 'objects':
      return 'measure'
    case 'layers':
      return 'layers'
    case 'trial':
      return 'fit'
    default:
      return 'make-up'
  }
}

export function stationOf({ about }: Finding): Station {
  return stationFor[kindOfSubject(about)]
}
