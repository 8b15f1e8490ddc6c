/** What is left of a wait. */
export function leftWords(ms: number): string {
  const seconds = Math.ceil(ms / 1000)
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60)]
  if (hours > 0) return `${hours} h ${minutes} min left`
  return minutes > 0 ? `${minutes} min ${seconds % 60} s left` : `${seconds} s left`
}

/** How long ago a wait was over. */
export function sinceWords(ms: number): string {
  const minutes = Math.floor(ms / 60_000)
  if (minutes < 1) return 'ready now'
  return minutes < 120 ? `ready since ${minutes} min` : `ready since ${Math.floor(minutes / 60)} h`
}
