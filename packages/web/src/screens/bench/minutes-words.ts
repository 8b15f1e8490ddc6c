/** “4 min”, “1 h 20 min”, “12 h”. */
export function minutesWords(minutes: number): string {
  if (minutes < 1) return 'under 1 min'
  const whole = Math.round(minutes)
  const [hours, rest] = [Math.floor(whole / 60), whole % 60]
  if (hours === 0) return `${whole} min`
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}
