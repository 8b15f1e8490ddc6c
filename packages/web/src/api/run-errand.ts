import type { Errand, ErrandRequest } from '@snowdrift/core'
import { describeError } from './describe-error'
import { fetchFile, refusalOf } from './fetch-file'

const lookEveryMs = 300

/**
 * Has the server do heavy work, and gives what it wrote, or why it did not in a sentence. Told the share that is done,
 * 0–1; called off with the signal.
 */
export async function runErrand(
  asked: ErrandRequest,
  signal: AbortSignal,
  tell: (part: number) => void,
): Promise<Blob | string> {
  let address: string | undefined
  try {
    const begun = await fetch('/api/errands', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(asked),
      signal,
    })
    if (!begun.ok) return await refusalOf(begun)
    address = `/api/errands/${((await begun.json()) as Errand).id}`
    for (;;) {
      const answer = await fetch(address, { signal })
      if (!answer.ok) return await refusalOf(answer)
      const { part, state, why } = (await answer.json()) as Errand
      if (state === 'failed') return why ?? describeError({ status: 500 })
      tell(part)
      if (state === 'done') return await fetchFile(`${address}/file`, signal)
      await pause(lookEveryMs, signal)
    }
  } catch {
    return describeError({ status: 'FETCH_ERROR' })
  } finally {
    // What was written is no use to anybody any more, nor what is still being written.
    if (address !== undefined) void fetch(address, { method: 'DELETE' }).catch(() => undefined)
  }
}

function pause(ms: number, signal: AbortSignal): Promise<void> {
  return new Promise((resolve, reject) => {
    signal.addEventListener('abort', () => reject(new Error('called off')), { once: true })
    setTimeout(resolve, ms)
  })
}
