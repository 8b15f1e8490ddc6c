import { describeError } from './describe-error'

/** What the server wrote for a request, or why it did not, in a sentence. */
export async function fetchFile(
  address: string,
  signal: AbortSignal,
  request: RequestInit = {},
): Promise<Blob | string> {
  try {
    const answer = await fetch(address, { ...request, signal })
    return answer.ok ? await answer.blob() : await refusalOf(answer)
  } catch {
    return describeError({ status: 'FETCH_ERROR' })
  }
}

/** Why a request was refused, in a sentence. */
export async function refusalOf(answer: Response): Promise<string> {
  const data: unknown = await answer.json().catch(() => undefined)
  return describeError({ status: answer.status, data })
}
