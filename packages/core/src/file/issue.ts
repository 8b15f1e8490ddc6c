/** One thing that is wrong with a file, said for the person who wrote it. */
export interface Issue {
  /** Where in the file: `object.readings.height[0]`; empty for the file as a whole. */
  readonly path: string
  /** What stood there and what would do. */
  readonly message: string
  /** The file is right in form; a length or number stands here that cannot be taken as it was typed. */
  readonly unread?: true
}

/** The line that the command line prints. */
export function formatIssue({ path, message }: Issue): string {
  return path ? `${path}: ${message}` : message
}

/** `['object', 'readings', 'height', 0]` → `object.readings.height[0]`. */
export function formatPath(parts: readonly PropertyKey[]): string {
  return parts.reduce<string>((path, part) => {
    if (typeof part === 'number') return `${path}[${part}]`
    return path ? `${path}.${String(part)}` : String(part)
  }, '')
}
