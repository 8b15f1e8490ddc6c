import type { Issue } from '../file/issue.js'

/** An RFC 9457 problem as the server answers it. */
export interface Problem {
  readonly type: string
  readonly title: string
  readonly status: number
  readonly detail: string
  /** What the request is called in the log of the server. */
  readonly request?: string
  /** What is wrong with the body, place by place. */
  readonly issues?: readonly Issue[]
  /** On a conflict: what stands now. */
  readonly current?: unknown
  /** Of a table whose columns are not ours: how they are headed, to be matched. */
  readonly headings?: readonly string[]
}
