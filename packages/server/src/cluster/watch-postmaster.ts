export interface WatchOptions {
  readonly isUp: () => Promise<boolean>
  /** Starts the server; throws, with a sentence, where it would not start. */
  readonly start: () => Promise<void>
}

export interface Watch {
  readonly begin: (tell: (news: string) => void) => void
  /** Ends it; a start that is on its way is waited for. */
  readonly end: () => Promise<void>
}

const lookEveryMs = 200
/** What follows is as long as the last. */
const pausesMs = [0, 100, 200, 300, 400, 500, 1000, 2000, 5000, 10_000, 30_000]

/** Looks after a server: one that died is started again, at once, then after ever longer pauses. */
export function watchPostmaster({ isUp, start }: WatchOptions): Watch {
  const ending = new AbortController()
  const isEnded = () => ending.signal.aborted
  let wake: () => void = () => undefined
  let work = Promise.resolve()

  const pause = (ms: number) =>
    new Promise<void>(resolve => {
      const timer = setTimeout(resolve, ms)
      wake = () => {
        clearTimeout(timer)
        resolve()
      }
    })

  const bringBack = async (tell: (news: string) => void) => {
    tell('The database stopped. Starting it again …')
    for (let tries = 0; ; tries++) {
      await pause(pausesMs[tries] ?? pausesMs.at(-1) ?? 0)
      if (isEnded()) return
      try {
        await start()
        return tell('The database is back. Nothing that was saved is lost.')
      } catch (error) {
        tell(`${(error as Error).message} Trying again.`)
      }
    }
  }

  const look = async (tell: (news: string) => void) => {
    while (!isEnded()) {
      await pause(lookEveryMs)
      if (!isEnded() && !(await isUp())) await bringBack(tell)
    }
  }

  return {
    begin: tell => {
      work = look(tell)
    },
    end: async () => {
      ending.abort()
      wake()
      await work
    },
  }
}
