import { severityIn, type Finding, type Severity } from '@snowdrift/core'

const order: readonly Severity[] = ['error', 'warning', 'advice']

/** The gravest severity among findings; undefined for none. */
export function gravestOf(findings: readonly Finding[]): Severity | undefined {
  return order.find(severity => findings.some(finding => severityIn(finding) === severity))
}
