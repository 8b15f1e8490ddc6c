/** How people reach it who sign in. */
export interface Hosting {
  /** As browsers write it: https://covers.example. */
  readonly origin: string
  /** Whether it is called from other machines, not only by a proxy on this one. */
  readonly isOpen: boolean
  /** A file of secrets that go into the hashes of passphrases, the newest first. */
  readonly pepperFile?: string
  /** Where a process apart holds these instead, a Unix socket: it alone knows them. */
  readonly pepperSocket?: string
  /** Whether safety goes before comfort: short stays, and owners come in by passkeys. */
  readonly isStrict?: true
}
