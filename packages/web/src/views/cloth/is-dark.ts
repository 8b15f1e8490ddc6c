/** Whether a colour such as #2f3d5c is dark, as the eye weighs its parts. */
export function isDark(colour: string): boolean {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map(at => parseInt(colour.slice(at, at + 2), 16))
  return 0.299 * red + 0.587 * green + 0.114 * blue < 140
}
