const msADay = 86_400_000

/** “today”, “in 3 days”, “2 days ago”: by when it is wanted. */
export function sayDue(due: string, now = new Date()): string {
  const today = Date.UTC(now.getFullYear(), now.getMonth(), now.getDate())
  const days = Math.round((Date.parse(due) - today) / msADay)
  if (days === 0) return 'wanted today'
  if (days === 1) return 'wanted tomorrow'
  if (days === -1) return 'was wanted yesterday'
  return days > 0 ? `wanted in ${days} days` : `was wanted ${-days} days ago`
}
