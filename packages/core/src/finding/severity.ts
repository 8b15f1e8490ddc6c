import type { FindingCode, Severity } from './finding.js'

export const severityOf: Readonly<Record<FindingCode, Severity>> = {
  'wrap-impossible': 'error',
  'wrap-disagrees': 'warning',
  'open-closed-differ': 'warning',
  'open-only': 'advice',
  'sides-swapped': 'advice',
  'readings-spread': 'warning',
  'board-assumed': 'advice',
  'flap-too-deep': 'warning',
  'will-it-go-in': 'warning',
  'opening-too-small': 'warning',
  'recipe-changed': 'advice',
  'will-not-go': 'error',
  'tight-but-goes': 'warning',
  'drum-tight': 'advice',
  baggy: 'advice',
  'piece-too-small': 'error',
}
