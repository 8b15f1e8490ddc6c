/**
 * What a number field cannot read, handed on as it was typed: it stands in the file where a number is expected, reading
 * the file names it, and nothing is planned. The number that was read on the way to it, 15 of 150, is nobody's.
 */
export function unreadNumber(text: string): number {
  return text as unknown as number
}

/** The text of a number field: a number, or what was typed in its place. */
export function textOfNumber(value: unknown): string {
  return typeof value === 'number' || typeof value === 'string' ? String(value) : ''
}
