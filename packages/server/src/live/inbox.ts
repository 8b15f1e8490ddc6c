/** What came and nobody has taken yet. */
export interface Inbox<Item> {
  readonly put: (item: Item) => void
  readonly close: () => void
  /** Each item in the order in which it came, and `nothing` whenever none came for a while; ends once it is closed. */
  readonly items: () => AsyncGenerator<Item | 'nothing'>
}

/** Whoever lets so many lie does not read any more. */
const most = 1000

export function createInbox<Item>(patienceMs: number): Inbox<Item> {
  const waiting: Item[] = []
  const state = { isClosed: false }
  let wake = () => undefined as void
  const close = () => {
    state.isClosed = true
    wake()
  }
  const comes = () =>
    new Promise<void>(resolve => {
      const timer = setTimeout(resolve, patienceMs)
      wake = () => {
        clearTimeout(timer)
        resolve()
      }
    })
  return {
    put: item => {
      if (waiting.length >= most) return close()
      waiting.push(item)
      wake()
    },
    close,
    async *items() {
      for (;;) {
        if (waiting.length === 0 && !state.isClosed) await comes()
        if (state.isClosed) return
        yield waiting.shift() ?? 'nothing'
      }
    },
  }
}
