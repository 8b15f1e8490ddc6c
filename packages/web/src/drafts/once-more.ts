/**
 * Runs work for a key. Asked again while it runs, it runs once more when it is done, however often it was asked: what it
 * found may be of before. Everyone who asked waits for the last run.
 */
export function onceMore(): (key: string, work: () => Promise<void>) => Promise<void> {
  const running = new Map<string, { asked: number; readonly done: Promise<void> }>()
  return (key, work) => {
    const known = running.get(key)
    if (known) {
      known.asked++
      return known.done
    }
    const run = async () => {
      try {
        for (let served = 0; served < entry.asked;) {
          served = entry.asked
          await work()
        }
      } finally {
        running.delete(key)
      }
    }
    // begun a moment later, so that whoever asks meanwhile finds it
    const entry = { asked: 1, done: Promise.resolve().then(run) }
    running.set(key, entry)
    return entry.done
  }
}
