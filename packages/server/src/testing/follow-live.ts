/** Something that was heard: the event, its id where it has one, and what it says. */
export interface HeardEvent {
  readonly event: string
  readonly id: string | undefined
  readonly data: unknown
}

export interface Following {
  /** Once it is heard. */
  readonly hear: (isIt: (heard: HeardEvent) => boolean) => Promise<HeardEvent>
  /** Everything so far but the opening and the beats. */
  readonly heard: () => readonly HeardEvent[]
  /** Once the server has ended it. */
  readonly ended: Promise<void>
  readonly leave: () => void
}

/** Reads server-sent events as they come; it is open when this is given. */
export async function followLive(
  address: string,
  headers: Readonly<Record<string, string>> = {},
): Promise<Following> {
  const gone = new AbortController()
  const answer = await fetch(`${address}/api/live`, { headers, signal: gone.signal })
  if (!answer.body || !answer.ok) throw new Error(`Not followed: ${answer.status}`)
  const heard: HeardEvent[] = []
  let tell = () => undefined as void
  const read = async (body: ReadableStream<Uint8Array>) => {
    const decoder = new TextDecoder()
    let text = ''
    for await (const part of body) {
      text += decoder.decode(part, { stream: true })
      const events = text.split('\n\n')
      text = events.pop() ?? ''
      heard.push(...events.map(readEvent))
      tell()
    }
  }
  const ended = read(answer.body).catch(() => undefined)
  const following: Following = {
    hear: async isIt => {
      for (;;) {
        const found = heard.find(isIt)
        if (found) return found
        await new Promise<void>(resolve => (tell = resolve))
      }
    },
    heard: () => heard.filter(({ event }) => event === 'change' || event === 'missed'),
    ended,
    leave: () => gone.abort(),
  }
  await following.hear(({ event }) => event === 'open')
  return following
}

function readEvent(text: string): HeardEvent {
  const fields = new Map(
    text.split('\n').map(line => {
      const at = line.indexOf(': ')
      return [line.slice(0, at), line.slice(at + 2)] as const
    }),
  )
  const data = fields.get('data') ?? ''
  return {
    event: fields.get('event') ?? 'message',
    id: fields.get('id'),
    data: data === '' ? null : (JSON.parse(data) as unknown),
  }
}
