import type { ChildProcess } from 'node:child_process'
import pLimit from 'p-limit'
import type { Failure } from '../http/problems.js'
import { startBeside } from '../start-beside.js'
import { pictureTypeOf } from './content-type.js'

export type Shrunk =
  { readonly kind: 'picture'; readonly bytes: Buffer } | Extract<Failure, { kind: 'bad-request' | 'busy' }>

/** Makes pictures small, one after the other, in a process of its own that is ended when it takes too long or too much. */
export interface PictureShrinker {
  readonly shrink: (bytes: Buffer) => Promise<Shrunk>
  readonly close: () => void
}

const longestMs = 8000
const mostWaiting = 8
/** Started when it is wanted, ended when nothing more has come. */
const idleMs = 20_000

const noPicture: Shrunk = {
  kind: 'bad-request',
  detail: 'This is no picture that can be read. Send a JPEG, PNG or WebP of at most 50 megapixels.',
}

export function createPictureShrinker({ timeoutMs = longestMs } = {}): PictureShrinker {
  const inTurn = pLimit(1)
  let child: ChildProcess | undefined
  let idle: NodeJS.Timeout | undefined
  let asked = 0

  const end = () => {
    clearTimeout(idle)
    child?.kill('SIGKILL')
    child = undefined
  }

  const work = async (bytes: Buffer): Promise<Shrunk> => {
    clearTimeout(idle)
    child ??= startBeside(import.meta, 'picture-process')
    const answer = await askProcess(child, ++asked, bytes, timeoutMs)
    if (answer === 'gone') end()
    else idle = setTimeout(end, idleMs).unref()
    return answer instanceof Uint8Array ? { kind: 'picture', bytes: Buffer.from(answer) } : noPicture
  }

  return {
    shrink: async bytes => {
      if (pictureTypeOf(bytes) === undefined) return noPicture
      if (inTurn.pendingCount >= mostWaiting)
        return { kind: 'busy', detail: 'Many pictures came at once. Send this one again in a moment.' }
      return inTurn(() => work(bytes))
    },
    close: end,
  }
}

/** The picture; `none` where it was none; `gone` where the process died of it or did not come to an end. */
function askProcess(
  child: ChildProcess,
  id: number,
  bytes: Buffer,
  timeoutMs: number,
): Promise<Uint8Array | 'none' | 'gone'> {
  return new Promise(resolve => {
    const finish = (answer: Uint8Array | 'none' | 'gone') => {
      clearTimeout(timer)
      child.off('message', hear)
      child.off('exit', gone)
      child.off('error', gone)
      resolve(answer)
    }
    const hear = (message: unknown) => {
      const { id: of, bytes: picture } = message as { id: number; bytes?: Uint8Array }
      if (of === id) finish(picture ?? 'none')
    }
    const gone = () => finish('gone')
    const timer = setTimeout(gone, timeoutMs)
    child.on('message', hear)
    child.once('exit', gone)
    child.once('error', gone)
    child.send({ id, bytes }, error => error && gone())
  })
}
