import type { Problem } from '@snowdrift/core'

/** What a failed request means, in a sentence. */
export function describeError(error: unknown): string {
  const { status, data } = (error ?? {}) as { status?: number | string; data?: Partial<Problem> }
  if (status === 412)
    return 'It was changed in another window meanwhile. What stands there now is shown here; try again.'
  if (status === 'FETCH_ERROR') return 'The server cannot be reached. What you have typed is kept here.'
  if (data?.issues?.length) return data.issues.map(({ message }) => message).join(' ')
  return data?.detail ?? 'Something went wrong on the server. Nothing was changed.'
}

/** Whether the server never answered, so that trying again later makes sense. */
export function isUnreachable(error: unknown): boolean {
  const { status } = (error ?? {}) as { status?: number | string }
  return (
    status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR' || (typeof status === 'number' && status >= 500)
  )
}
