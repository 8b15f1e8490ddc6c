import { chanceSeverities } from './data/chance-findings.js'
import { extraSeverities } from './data/extra-findings.js'
import { fitSeverities } from './data/fit-findings.js'
import { makeSeverities } from './data/make-findings.js'
import { materialSeverities } from './data/material-findings.js'
import { readingSeverities } from './data/reading-findings.js'
import type { FindingCode } from './finding.js'
import type { Severity } from './severity.js'

export const severityOf: Readonly<Record<FindingCode, Severity>> = {
  ...readingSeverities,
  ...fitSeverities,
  ...chanceSeverities,
  ...makeSeverities,
  ...extraSeverities,
  ...materialSeverities,
}
