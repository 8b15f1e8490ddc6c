/** So many are remembered: what comes back later than that is followed as if another had written it. */
const most = 200

const own = new Set<string>()

/** Remembers that this window wrote a row, and which version that made. */
export function noteOwnWrite(id: string, version: number): void {
  own.add(`${id} ${version}`)
  const [oldest] = own
  if (own.size > most && oldest !== undefined) own.delete(oldest)
}

export function isOwnWrite(id: string, version: number): boolean {
  return own.has(`${id} ${version}`)
}
