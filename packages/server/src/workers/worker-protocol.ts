import type { Certificate } from '../http/listen.js'
import type { Hosting } from '../hosting.js'

/** What a worker is told once it is there. */
export interface WorkerSettings {
  readonly databaseUrl: string
  readonly isPooled: boolean
  readonly listenUrl?: string
  readonly readUrl?: string
  readonly demo: boolean
  readonly port: number
  readonly dataFolder: string
  readonly webFolder: string
  readonly measures: boolean
  readonly hosted?: Hosting
  readonly share: {
    readonly port: number
    readonly url?: string
    readonly certificate?: Certificate
    /** Proxies that are trusted, as they were listed. */
    readonly proxies: string
  }
}

export type ToWorker =
  | { readonly snowdrift: 'serve'; readonly name: string; readonly settings: WorkerSettings }
  | { readonly snowdrift: 'stop' }

/** What was said before it awaits something nobody heard. */
export type FromWorker =
  | { readonly snowdrift: 'awaits' }
  | { readonly snowdrift: 'serves' }
  | { readonly snowdrift: 'fails'; readonly message: string }

/** Messages of others, such as those that gather metrics, go the same way. */
export function isToWorker(message: unknown): message is ToWorker {
  return isOurs(message)
}

export function isFromWorker(message: unknown): message is FromWorker {
  return isOurs(message)
}

function isOurs(message: unknown): boolean {
  return typeof message === 'object' && message !== null && 'snowdrift' in message
}
