/** The JSON of an answer that comes line by line, each as soon as it is there. */
export async function* readLines<Line>(body: ReadableStream<Uint8Array>): AsyncGenerator<Line> {
  const decoder = new TextDecoder()
  const reader = body.getReader()
  let rest = ''
  for (;;) {
    const { value, done } = await reader.read()
    const lines = (rest + decoder.decode(value, { stream: !done })).split('\n')
    rest = lines.pop() ?? ''
    for (const line of lines) if (line) yield JSON.parse(line) as Line
    if (done) return
  }
}
