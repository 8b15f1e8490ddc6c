/** Where the server writes what it did and what went wrong. */
export interface Log {
  readonly info: (what: object, message: string) => void
  readonly error: (what: object, message: string) => void
}
