/** What a command reads and writes, so that tests can stand in for it. */
export interface Terminal {
  readonly input: AsyncIterable<Uint8Array | string>
  readonly print: (text: string) => void
  readonly complain: (text: string) => void
}

/** `cannotBeMade`: understood, and the answer says why not. `unusable`: nothing on standard output. */
export const exitCodes = { done: 0, cannotBeMade: 1, unusable: 2 } as const
