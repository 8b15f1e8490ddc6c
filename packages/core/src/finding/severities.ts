import { chanceSeverities } from './data/chance-findings.js'
import { extraSeverities } from './data/extra-findings.js'
import { fitSeverities } from './data/fit-findings.js'
import { makeSeverities } from './data/make-findings.js'
import { materialSeverities } from './data/material-findings.js'
import { readingSeverities } from './data/reading-findings.js'
import type { Finding, FindingCode } from './finding.js'
import type { Severity } from './severity.js'

export const severityOf: Readonly<Record<FindingCode, Severity>> = {
  ...readingSeverities,
  ...fitSeverities,
  ...chanceSeverities,
  ...makeSeverities,
  ...extraSeverities,
  ...materialSeverities,
}

/** How much a finding weighs: as its code does, unless it says otherwise. */
export function severityIn({ code, severity }: Pick<Finding, 'code' | 'severity'>): Severity {
  return severity ?? severityOf[code]
}
