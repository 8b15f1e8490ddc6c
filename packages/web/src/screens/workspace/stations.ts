import type { Finding, Severity } from '@snowdrift/core'
import { gravestOf } from '../../parts/severity'
import type { Planned } from '../../views/planned'

/** The stations of a cover, in the order of the work. */
export const stations = ['measure', 'make-up', 'layers', 'fit', 'pieces', 'layout'] as const
export type Station = (typeof stations)[number]

export const stationWords: Readonly<Record<Station, string>> = {
  measure: 'Measure',
  'make-up': 'Make-up',
  layers: 'Layers',
  fit: 'Fit',
  pieces: 'Pieces',
  layout: 'Layout',
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
  if (plan || station === 'layers') return toSay
  return station === 'measure' && missing.length === 0 ? toSay : 'waits'
}

/** Where a place in the cover file is typed. */
function stationOfPlace(path: string): Station {
  if (/^objects?\b/.test(path)) return 'measure'
  if (path.startsWith('layers')) return 'layers'
  return path.startsWith('trial') ? 'fit' : 'make-up'
}

export function stationOf({ about }: Finding): Station {
  if (about.startsWith('reading:')) return 'measure'
  if (about.startsWith('layer:')) return 'layers'
  if (about.startsWith('fit:')) return 'fit'
  if (about.startsWith('piece:')) return 'pieces'
  return 'make-up'
}
