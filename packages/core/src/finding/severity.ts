/** `error`: cannot be made as it stands. `warning`: will go wrong or annoy. `advice`: worth knowing. */
export type Severity = 'error' | 'warning' | 'advice'

/** A severity for each finding of a group. */
export type SeverityOf<Group> = Readonly<Record<keyof Group, Severity>>
